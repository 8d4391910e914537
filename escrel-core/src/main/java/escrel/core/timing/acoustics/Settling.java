package escrel.core.timing.acoustics;

import escrel.core.quantity.Rate;
import escrel.core.statistics.Robust;
import escrel.core.statistics.RobustLine;
import java.util.List;

/**
 * Whether a reading may be taken: not after a fixed time, but when its uncertainty is small, neither rate nor amplitude
 * still moves after the watch was turned, and whole turns of the escape wheel were heard.
 *
 * @param settled whether it may be taken
 * @param words what is still waited for, or that it may be taken
 */
public record Settling(boolean settled, String words) {
    /** Turns of the escape wheel that are heard at least. */
    public static final int TURNS = 2;
    /** Heard at least, where the turns are short or their length is unknown. */
    public static final double LEAST_SECONDS = 10;

    private static final int USUAL_TEETH = 15;
    private static final double RATE_ERROR = 1.0;
    private static final double AMPLITUDE_ERROR = 4.0;
    private static final double BEAT_ERROR_ERROR = 0.1;
    private static final double STEADY_RATE = 3.0;
    private static final double STEADY_AMPLITUDE = 3.0;
    private static final double STANDARD_ERRORS = 2;

    /**
     * The time of one turn of the escape wheel: two beats for each tooth.
     *
     * @param teeth of the escape wheel; 0 when unknown, then 15 are assumed
     */
    public static double turnSeconds(double beatSeconds, int teeth) {
        return 2.0 * (teeth > 0 ? teeth : USUAL_TEETH) * beatSeconds;
    }

    /**
     * The longest stretch of whole turns within what was heard, in seconds; all of it while it is shorter than one.
     *
     * @param heardSeconds 0 or more
     */
    public static double wholeTurns(double heardSeconds, double turnSeconds) {
        double turns = Math.floor(heardSeconds / turnSeconds);
        return turns < 1 ? heardSeconds : turns * turnSeconds;
    }

    /**
     * Judges a reading.
     *
     * @param turnSeconds time of one turn of the escape wheel
     */
    public static Settling of(SoundReading reading, double turnSeconds) {
        double needed = Math.max(LEAST_SECONDS, TURNS * turnSeconds);
        // a reading of whole turns may be shorter by the rounding of a sample
        if (reading.seconds() < needed - 0.01) {
            return new Settling(false, "listening: %.0f of %.0f s".formatted(reading.seconds(), needed));
        }
        if (reading.rateSecondsPerDay().doubt() > RATE_ERROR) {
            return new Settling(false, "the rate is not sure enough yet");
        }
        Halves halves = Halves.of(reading);
        if (halves.rateMoved()) {
            return new Settling(false, "the rate still moves");
        }
        if (halves.amplitudeMoved(reading)) {
            return new Settling(false, "the amplitude still moves");
        }
        if (reading.amplitudeDegrees().doubt() > AMPLITUDE_ERROR
                || reading.beatErrorMillis().doubt() > BEAT_ERROR_ERROR
                || !reading.doubts().isEmpty()) {
            return new Settling(false, "amplitude or beat error is in doubt");
        }
        return new Settling(true, "settled");
    }

    /** First half against second: rates with their errors, and mean lift times. */
    private record Halves(double rateDifference, double rateError, double liftDifference, double liftError) {
        static Halves of(SoundReading reading) {
            List<SoundReading.Beat> beats = reading.beats();
            int middle = beats.size() / 2;
            double nominal = reading.beatRate().beatSeconds();
            double[] first = rate(beats.subList(0, middle), nominal);
            double[] second = rate(beats.subList(middle, beats.size()), nominal);
            double[] firstLift = lift(beats.subList(0, middle));
            double[] secondLift = lift(beats.subList(middle, beats.size()));
            return new Halves(
                    second[0] - first[0],
                    Math.hypot(first[1], second[1]),
                    secondLift[0] - firstLift[0],
                    Math.hypot(firstLift[1], secondLift[1]));
        }

        private static double[] rate(List<SoundReading.Beat> beats, double nominal) {
            RobustLine line = RobustLine.fit(
                    beats.stream().mapToInt(SoundReading.Beat::number).toArray(),
                    beats.stream().mapToDouble(SoundReading.Beat::seconds).toArray());
            double error = Rate.SECONDS_PER_DAY
                    * line.sigma()
                    * Math.sqrt(12)
                    / (line.slope() * Math.pow(Math.max(2, beats.size()), 1.5));
            return new double[] {(nominal / line.slope() - 1) * Rate.SECONDS_PER_DAY, error};
        }

        private static double[] lift(List<SoundReading.Beat> beats) {
            double[] lifts =
                    beats.stream().mapToDouble(SoundReading.Beat::liftMillis).toArray();
            return new double[] {Robust.mean(lifts), Robust.standardErrorOfMean(lifts)};
        }

        boolean rateMoved() {
            return Math.abs(rateDifference) > Math.max(STEADY_RATE, STANDARD_ERRORS * rateError);
        }

        boolean amplitudeMoved(SoundReading reading) {
            // small changes of the lift time change the amplitude in the same proportion, the other way
            double perMilli = reading.amplitudeDegrees().value()
                    / reading.lift().liftMillis().value();
            return Math.abs(liftDifference) * perMilli
                    > Math.max(STEADY_AMPLITUDE, STANDARD_ERRORS * liftError * perMilli);
        }
    }
}
