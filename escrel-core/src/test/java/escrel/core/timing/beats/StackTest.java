package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class StackTest {
    private static final double RATE = 48_000;
    private static final int BEATS = 50;

    private static double[] times() {
        return IntStream.range(0, BEATS).mapToDouble(k -> 0.05 + 0.1 * k).toArray();
    }

    private static double[] ones() {
        double[] ones = new double[BEATS];
        Arrays.fill(ones, 1);
        return ones;
    }

    /** Noise of rms 0.1 with a pulse of height 1 for a millisecond from each time on. */
    private static float[] sound(long seed) {
        Random random = new Random(seed);
        float[] out = new float[(int) (5.1 * RATE)];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) (0.1 * random.nextGaussian());
        }
        for (double time : times()) {
            for (int i = 0; i < RATE / 1000; i++) {
                out[(int) Math.round(time * RATE) + i] += 1;
            }
        }
        return out;
    }

    private static Stack stack(float[] sound, double[] weights) {
        return Stack.of(sound, RATE, times(), weights, 0.004, 0.006);
    }

    @Test
    void soundsStandWhereTheyAreAndNoiseBecomesItsMean() {
        Stack stack = stack(sound(1), ones());

        assertThat(stack.energy()).hasSize(480);
        assertThat(stack.energy()[stack.index(0.0005)]).isCloseTo(1.01, within(0.15));
        assertThat(stack.energy()[stack.index(-0.001)]).isCloseTo(0.01, within(0.01));
        assertThat(stack.floor()).isCloseTo(0.01, within(0.002));
        assertThat(stack.seconds(stack.index(0.0021))).isCloseTo(0.0021, within(0.5 / RATE));
        assertThat(stack.index(-1)).isZero();
        assertThat(stack.index(1)).isEqualTo(479);
    }

    @Test
    void knockInOneBeatCountsForAFewTimesTheMean() {
        float[] calm = sound(2);
        float[] knocked = calm.clone();
        int at = (int) Math.round((times()[20] + 0.003) * RATE);
        for (int i = 0; i < 20; i++) {
            knocked[at + i] = 30;
        }
        double there = stack(knocked, ones()).energy()[stack(knocked, ones()).index(0.0032)];

        // left alone it would be 900 / 50; cut down to six times the mean of all fifty it is six fiftieths of that
        assertThat(there).isLessThan(0.15 * 900 / BEATS + 0.01);
        assertThat(stack(calm, ones()).energy()[stack(calm, ones()).index(0.0032)])
                .isLessThan(0.03);
    }

    @Test
    void beatThatIsWeighedLessAddsLess() {
        double[] half = ones();
        Arrays.fill(half, 0.5);

        double[] whole = stack(sound(3), ones()).energy();
        double[] halved = stack(sound(3), half).energy();

        for (int i = 0; i < whole.length; i++) {
            assertThat(halved[i]).isCloseTo(whole[i] / 2, within(1e-12));
        }
    }

    @Test
    void beatsWhoseWindowLeavesTheRecordingAreLeftAside() {
        float[] sound = sound(4);
        double[] beyond = Arrays.copyOf(times(), BEATS + 2);
        beyond[BEATS] = 0.001;
        beyond[BEATS + 1] = 5.0999;
        double[] weights = new double[BEATS + 2];
        Arrays.fill(weights, 1);

        assertThat(Stack.of(sound, RATE, beyond, weights, 0.004, 0.006).energy())
                .usingComparatorWithPrecision(1e-12)
                .containsExactly(stack(sound, ones()).energy());
    }

    @Test
    void smoothIsTheMeanOfWhatLiesAround() {
        double[] values = new Random(6).doubles(40).toArray();
        double[] smooth = Stack.smooth(values, 7);
        for (int i = 0; i < values.length; i++) {
            double mean = Arrays.stream(values, Math.max(0, i - 3), Math.min(values.length, i + 4))
                    .average()
                    .orElseThrow();
            assertThat(smooth[i]).isCloseTo(mean, within(1e-12));
        }
    }
}
