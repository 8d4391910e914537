package escrel.core.quantity;

import java.util.List;

/**
 * How often a movement beats: beats per hour (bph), two beats to a full swing of the balance. Source: M1.
 *
 * @param beatsPerHour above 0, usually 14 400 to 36 000
 */
public record BeatRate(double beatsPerHour) {
    /** The usual trains to offer, and to recognise in a recording. Source: M1. */
    public static final List<BeatRate> USUAL =
            List.of(of(14_400), of(16_200), of(18_000), of(19_800), of(21_600), of(25_200), of(28_800), of(36_000));

    public BeatRate {
        Finite.requirePositive("beats per hour", beatsPerHour);
    }

    /** A beat rate from beats per hour, above 0. */
    public static BeatRate of(double beatsPerHour) {
        return new BeatRate(beatsPerHour);
    }

    /**
     * The time of a full swing, {@code T = 7200/n}, in seconds: 18 000 bph gives 0.4 s. Source: M1.
     */
    public double periodSeconds() {
        return 7200 / beatsPerHour;
    }

    /** The time of one beat, half a swing, in seconds: 28 800 bph gives 0.125 s. Source: M1. */
    public double beatSeconds() {
        return 3600 / beatsPerHour;
    }

    /** Beats per second: 21 600 bph gives 6. Source: M1. */
    public double beatsPerSecond() {
        return beatsPerHour / 3600;
    }
}
