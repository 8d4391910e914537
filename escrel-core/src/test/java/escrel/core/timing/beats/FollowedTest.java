package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** One sound followed through ticks and tocks that sound different, wherever it goes. */
class FollowedTest {
    private static final double RATE = 44_100;
    private static final int BEATS = 90;
    private static final double[] HERTZ = {5200, 3700};

    private static double[] times() {
        return IntStream.range(0, BEATS).mapToDouble(k -> 0.1 + 0.166_683 * k).toArray();
    }

    /** A ringing sound in each beat, later by what is given, in noise of rms 0.1. */
    private static float[] beats(double loudness, IntToDoubleFunction later) {
        Random random = new Random(2);
        float[] out = new float[(int) ((0.166_683 * BEATS + 0.5) * RATE)];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) (0.1 * random.nextGaussian());
        }
        double[] times = times();
        for (int k = 0; k < BEATS; k++) {
            double begin = times[k] + later.applyAsDouble(k);
            for (int i = (int) Math.ceil(begin * RATE); i < (begin + 0.004) * RATE; i++) {
                double t = i / RATE - begin;
                out[i] += (float) (loudness * Math.exp(-t / 0.0007) * Math.sin(2 * Math.PI * HERTZ[k & 1] * t + 0.4));
            }
        }
        return out;
    }

    private static double[] followed(float[] samples, boolean chained) {
        int[] numbers = IntStream.range(0, BEATS).toArray();
        return new Followed(samples, RATE, numbers, times(), chained).shifts();
    }

    /** Of ticks among themselves and tocks among themselves; their means are free. */
    private static void assertAlong(double[] shifts, IntToDoubleFunction truth, double within) {
        for (int half = 0; half < 2; half++) {
            double mean = 0;
            for (int k = half; k < BEATS; k += 2) {
                mean += (shifts[k] - truth.applyAsDouble(k)) / (BEATS / 2);
            }
            for (int k = half; k < BEATS; k += 2) {
                assertThat(shifts[k] - truth.applyAsDouble(k)).as("beat %d", k).isCloseTo(mean, within(within));
            }
        }
    }

    @Test
    void oneThatSwellsWithTheWheelIsFollowedFarBeyondItsOwnLength() {
        IntToDoubleFunction swelling = k -> 0.0009 * Math.sin(2 * Math.PI * k / 30);

        assertAlong(followed(beats(2, swelling), true), swelling, 60e-6);
    }

    @Test
    void oneFainterThanTheNoiseIsFollowedWhereItHardlyMoves() {
        IntToDoubleFunction still = k -> 20e-6 * Math.sin(k);

        // the noise is as loud as the sound at its loudest: no single beat shows where it is
        assertAlong(followed(beats(0.1, still), false), still, 60e-6);
    }

    @Test
    void afterLostSamplesItIsFoundAgain() {
        IntToDoubleFunction lost = k -> k < 40 ? 0 : -0.0008;

        assertAlong(followed(beats(2, lost), true), lost, 20e-6);
    }
}
