package escrel.core.quantity;

/**
 * How much a watch gains (+) or loses (−).
 *
 * @param secondsPerDay finite; + gains, − loses
 */
public record Rate(double secondsPerDay) {
    /** Seconds in a day, the unit of the rate. */
    public static final double SECONDS_PER_DAY = 86_400;

    public Rate {
        Finite.require("rate in s/d", secondsPerDay);
    }

    /** A rate from seconds per day, + for a gain. */
    public static Rate ofSecondsPerDay(double secondsPerDay) {
        return new Rate(secondsPerDay);
    }

    /**
     * The rate that a mean beat means: {@code r = (3600/n / b − 1) · 86400}. A beat of 0.12500145 s at 28 800 bph gives
     * −1.002 s/d. Source: M2.
     *
     * @param meanBeatSeconds above 0
     */
    public static Rate ofMeanBeat(BeatRate nominal, double meanBeatSeconds) {
        Finite.requirePositive("mean beat in s", meanBeatSeconds);
        return new Rate((nominal.beatSeconds() / meanBeatSeconds - 1) * SECONDS_PER_DAY);
    }
}
