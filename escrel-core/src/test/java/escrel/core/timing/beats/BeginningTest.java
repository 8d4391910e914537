package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BeginningTest {
    private static final double RATE = 48_000;
    private static final int BEATS = 40;
    private static final double NOISE = 0.01;

    private static double[] times() {
        // never twice at the same place between two samples
        return IntStream.range(0, BEATS).mapToDouble(k -> 0.1 + 0.100_007 * k).toArray();
    }

    /** Beats that begin a while after their times, rise, ring and die away; alike or with another phase each. */
    private static Wave wave(double beginSeconds, double riseSeconds, double loudness, boolean alike, long seed) {
        Random random = new Random(seed);
        float[] out = new float[(int) (4.5 * RATE)];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) (NOISE * random.nextGaussian());
        }
        for (double time : times()) {
            double phase = alike ? 1 : 2 * Math.PI * random.nextDouble();
            double begin = time + beginSeconds;
            for (int i = (int) Math.ceil(begin * RATE); i < (begin + 0.006) * RATE; i++) {
                double t = i / RATE - begin;
                out[i] += (float) (loudness
                        * (1 - Math.exp(-2 * t / riseSeconds))
                        * Math.exp(-t / 0.001)
                        * Math.sin(2 * Math.PI * 6500 * t + phase));
            }
        }
        return Wave.of(out, RATE, times());
    }

    @ParameterizedTest
    @CsvSource({
        "0, 30e-6, 0.5",
        "0.0000137, 30e-6, 0.5",
        "0.0006, 80e-6, 0.5",
        "-0.0005, 150e-6, 0.5",
        "0.0003, 60e-6, 0.02"
    })
    void ofBeatsThatAreAlikeItIsFoundWithinTwoSamples(double begin, double rise, double loudness) {
        Wave wave = wave(begin, rise, loudness, true, 11);

        assertThat(wave.alike()).isGreaterThan(0.8);
        assertThat(Beginning.of(wave).mean()).isCloseTo(begin, within(42e-6));
    }

    @ParameterizedTest
    @CsvSource({"0, 30e-6, 0.5", "0.0006, 80e-6, 0.5", "-0.0005, 60e-6, 0.05"})
    void ofBeatsThatAreNeverAlikeToo(double begin, double rise, double loudness) {
        Wave wave = wave(begin, rise, loudness, false, 5);

        assertThat(wave.alike()).isLessThan(Wave.ALIKE);
        assertThat(Beginning.of(wave).mean()).isCloseTo(begin, within(50e-6));
    }

    @Test
    void otherNoiseHardlyMovesIt() {
        double[] places = IntStream.range(0, 20)
                .mapToDouble(seed ->
                        Beginning.of(wave(0.0002, 90e-6, 0.06, true, seed)).mean())
                .toArray();
        double mean =
                IntStream.range(0, 20).mapToDouble(i -> places[i]).average().orElseThrow();

        // a jump from one swing of the wave to the next would be 77 µs or more
        assertThat(Arrays.stream(places).boxed()).allSatisfy(p -> assertThat(p).isCloseTo(mean, within(25e-6)));
    }

    @Test
    void whatIsHardlyHeardIsHeldForLessCertain() {
        assertThat(Beginning.of(wave(0, 60e-6, 0.004, true, 3)).deviation())
                .isGreaterThan(2 * Beginning.of(wave(0, 60e-6, 0.4, true, 3)).deviation());
    }
}
