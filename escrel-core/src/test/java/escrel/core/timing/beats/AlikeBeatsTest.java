package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Beats of two kinds laid over each other by their waves. */
class AlikeBeatsTest {
    private static final double RATE = 48_000;
    private static final AlikeBeats.Comparing BY_WAVE =
            new AlikeBeats.Comparing(0.0003, 0.0015, 0.0004, false, 50, new double[] {6e-6, 30e-6, 110e-6});

    /** Beat numbers; every seventh is missing. */
    private static int[] numbers() {
        return IntStream.range(0, 84).filter(k -> k % 7 != 5).toArray();
    }

    private static double[] times() {
        return IntStream.of(numbers()).mapToDouble(n -> 0.05 + 0.1 * n).toArray();
    }

    private static float[] sound(double noise, IntToDoubleFunction later) {
        Random random = new Random(31);
        float[] out = new float[(int) (8.6 * RATE)];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) (noise * random.nextGaussian());
        }
        double[] times = times();
        int[] numbers = numbers();
        for (int k = 0; k < times.length; k++) {
            double begin = times[k] + later.applyAsDouble(k);
            double hertz = numbers[k] % 2 == 0 ? 4700 : 6100;
            for (int i = (int) Math.ceil(begin * RATE); i < (begin + 0.002) * RATE; i++) {
                double t = i / RATE - begin;
                out[i] += (float) (Math.exp(-t / 0.0005) * Math.sin(2 * Math.PI * hertz * t));
            }
        }
        return out;
    }

    /** Root mean square of what is wrong, the means of ticks and of tocks being free. */
    private static double wrong(double[] shifts, IntToDoubleFunction truth) {
        int[] numbers = numbers();
        double squares = 0;
        for (int half = 0; half < 2; half++) {
            int kind = half;
            int[] own = IntStream.range(0, shifts.length)
                    .filter(k -> numbers[k] % 2 == kind)
                    .toArray();
            double mean = IntStream.of(own)
                    .mapToDouble(k -> shifts[k] - truth.applyAsDouble(k))
                    .average()
                    .orElseThrow();
            for (int k : own) {
                double off = shifts[k] - truth.applyAsDouble(k) - mean;
                squares += off * off / shifts.length;
            }
        }
        return Math.sqrt(squares);
    }

    @Test
    void roundByRoundTheyComeTogether() {
        IntToDoubleFunction jitter = k -> 40e-6 * Math.sin(12.9 * k);
        double[] shifts = new double[times().length];
        AlikeBeats beats = new AlikeBeats(numbers());
        float[] sound = sound(0.02, jitter);

        double first = beats.improve(sound, RATE, times(), shifts, BY_WAVE);
        double second = beats.improve(sound, RATE, times(), shifts, BY_WAVE);
        beats.finish(sound, RATE, times(), shifts, BY_WAVE);

        assertThat(first).isGreaterThan(15e-6);
        assertThat(second).isLessThan(first / 2);
        // a fifth of a sample
        assertThat(wrong(shifts, jitter)).isLessThan(4e-6);
    }

    @Test
    void whereTheyAreAlreadyNothingIsMoved() {
        double[] shifts = new double[times().length];
        double moved = new AlikeBeats(numbers()).improve(sound(0.001, k -> 0), RATE, times(), shifts, BY_WAVE);

        assertThat(moved).isLessThan(2e-6);
    }

    @Test
    void beatsBeyondTheSoundStayWhereTheyWereExpected() {
        double[] times = times();
        times[times.length - 1] = 60;
        double[] shifts = new double[times.length];
        new AlikeBeats(numbers()).improve(sound(0.02, k -> 0), RATE, times, shifts, BY_WAVE);

        assertThat(shifts[times.length - 1]).isZero();
    }

    @Test
    void beatLaidOnTheOneBeforeFollowsWhereItGoesFar() {
        // three milliseconds in all, a twentieth of one from beat to beat
        IntToDoubleFunction away = k -> 45e-6 * k;
        double[] chained = new AlikeBeats(numbers()).chained(sound(0.02, away), RATE, times(), BY_WAVE);

        assertThat(wrong(chained, away)).isLessThan(40e-6);
        assertThat(chained[70] - chained[0]).isCloseTo(70 * 45e-6, within(300e-6));
    }
}
