package escrel.core.timing.acoustics;

import escrel.core.quantity.Amplitude;
import escrel.core.statistics.RobustLine;
import escrel.core.timing.beats.NoCredibleBeatException;
import escrel.core.timing.readings.Swing;
import java.util.Arrays;

/** What a watch can do and what nobody would believe: each refusal says what was heard instead. */
final class Credible {
    private static final double LARGEST_SCATTER_SECONDS = 0.0015;
    // the balance cannot be further out of beat and still swing
    private static final double LARGEST_BEAT_ERROR_SECONDS = 0.012;
    private static final double LARGEST_RATE = 1_050;

    private Credible() {}

    static void requireLife(double[] energy) {
        double mean = Arrays.stream(energy).average().orElse(0);
        // below the last bit of a 16-bit file there is nothing to hear
        if (Math.sqrt(mean) < 1.0 / 32_768 / 4) {
            throw new NoCredibleBeatException(
                    "The recording is silent", "Check that the pick-up is plugged in and chosen, and record again.");
        }
    }

    static void requireSteady(RobustLine line, int detected, int expected) {
        if (detected < 0.5 * expected || line.sigma() > LARGEST_SCATTER_SECONDS || detected < 12) {
            throw new NoCredibleBeatException(
                    "Of %d beats expected only %d lie where they should".formatted(expected, detected),
                    "Keep the room quiet, press the pick-up to the crown and record again.");
        }
    }

    static void requireWatch(double rate, double heardSeconds) {
        if (heardSeconds > LARGEST_BEAT_ERROR_SECONDS || Math.abs(rate) > LARGEST_RATE) {
            throw new NoCredibleBeatException(
                    "Something beats, but with a beat error of %.0f ms and %.0f s/d it is no watch that could be told"
                            .formatted(heardSeconds * 1000, rate),
                    "Keep other sounds away, press the pick-up to the crown and record again.");
        }
    }

    static Amplitude amplitude(Swing swing, double lift, double heard) {
        if (lift > 0 && lift < swing.periodSeconds() / 2) {
            Amplitude amplitude = swing.amplitude(lift, Math.min(heard, lift));
            if (amplitude.credible()) {
                return amplitude;
            }
        }
        throw new NoCredibleBeatException(
                "The lift time of %.2f ms gives no credible amplitude".formatted(lift * 1000),
                "Check lift angle, beat rate, or the sound used.");
    }
}
