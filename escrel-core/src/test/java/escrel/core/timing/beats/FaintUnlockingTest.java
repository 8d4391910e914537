package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class FaintUnlockingTest {
    private static final double RATE = 48_000;
    private static final double LIFT = 0.010;
    private static final double AHEAD = 0.005;

    private static double[] times(int half) {
        return IntStream.range(0, 60)
                .mapToDouble(k -> 0.2 + half * 0.1 + 0.200_013 * k)
                .toArray();
    }

    /** In noise of rms 0.1: a sound at every time, and one of {@code loudness} before it, which no single beat shows. */
    private static float[] beats(double loudness) {
        Random random = new Random(12);
        float[] out = new float[(int) (13 * RATE)];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) (0.1 * random.nextGaussian());
        }
        for (int half = 0; half < 2; half++) {
            for (double time : times(half)) {
                ring(out, time, 1, 4000 + 900 * half);
                ring(out, time - AHEAD, loudness, 3300 + 1700 * half);
            }
        }
        return out;
    }

    private static void ring(float[] out, double at, double loudness, double hertz) {
        for (int i = (int) Math.ceil(at * RATE); i < (at + 0.004) * RATE; i++) {
            double t = i / RATE - at;
            out[i] += (float) (loudness * Math.exp(-t / 0.0008) * Math.sin(2 * Math.PI * hertz * t));
        }
    }

    @Test
    void oneHiddenInTheNoiseIsHeardInTheMeanWave() {
        assertThat(FaintUnlocking.ahead(beats(0.08), RATE, times(0), times(1), LIFT))
                .hasValueCloseTo(AHEAD, within(0.0006));
    }

    /** Where sound was lost, a stretch of beats may have been laid beside the others: their sounds stand earlier together. */
    @Test
    void aStretchOfBeatsThatLiesBesideTheOthersIsNoUnlocking() {
        float[] samples = beats(0);
        for (int half = 0; half < 2; half++) {
            for (int k = 5; k < 20; k++) {
                ring(samples, times(half)[k] - AHEAD, 0.4, 3300 + 1700 * half);
            }
        }

        assertThat(FaintUnlocking.ahead(samples, RATE, times(0), times(1), LIFT))
                .isEmpty();
    }

    @Test
    void whereNoneIsNoneIsHeard() {
        assertThat(FaintUnlocking.ahead(beats(0), RATE, times(0), times(1), LIFT))
                .isEmpty();
    }
}
