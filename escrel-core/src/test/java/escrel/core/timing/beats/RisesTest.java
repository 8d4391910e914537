package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Sounds that come back with every beat are found; what does not come back is not. */
class RisesTest {
    private static final double RATE = 48_000;
    private static final int BEATS = 80;
    private static final double HALF_WINDOW = 0.02;

    private static double[] times() {
        return IntStream.range(0, BEATS).mapToDouble(k -> 0.1 + 0.2 * k).toArray();
    }

    /** Noise of rms 0.1, and in every beat a burst of rms {@code loudness} for a millisecond from {@code at} on. */
    private static float[] beats(double at, double loudness, long seed) {
        Random random = new Random(seed);
        float[] out = new float[(int) (BEATS * 0.2 * RATE + RATE)];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) (0.1 * random.nextGaussian());
        }
        for (double time : times()) {
            int from = (int) ((time + at) * RATE);
            for (int i = from; i < from + RATE / 1000; i++) {
                out[i] += (float) (loudness * random.nextGaussian());
            }
        }
        return out;
    }

    private static Rises rises(float[] samples) {
        double[] alike = new double[BEATS];
        Arrays.fill(alike, 1);
        Stack stack = Stack.of(samples, RATE, times(), alike, HALF_WINDOW, HALF_WINDOW);
        return Rises.in(new Energies(samples, RATE), times(), alike, stack);
    }

    @ParameterizedTest
    @CsvSource({"0.001, 0.5", "-0.006, 0.5", "0.004, 0.1", "-0.003, 0.07"})
    void findsASoundThatComesBackBeItFarFainterThanTheNoise(double at, double loudness) {
        assertThat(rises(beats(at, loudness, 3)).all())
                .filteredOn(r -> r.certainty() > 4.5)
                .singleElement()
                .satisfies(r -> assertThat(r.seconds()).isCloseTo(at, within(0.0003)));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void silenceHasNoRiseBeyondChance(long seed) {
        assertThat(rises(beats(0, 0, seed)).all()).allMatch(r -> r.certainty() < 5);
    }

    @Test
    void oneKnockIsNoSoundOfTheMovement() {
        float[] samples = beats(0.001, 0.5, 9);
        int knock = (int) ((times()[20] - 0.01) * RATE);
        for (int i = knock; i < knock + 200; i++) {
            samples[i] += (float) Math.sin(i);
        }

        assertThat(rises(samples).all())
                .filteredOn(r -> r.certainty() > 4.5)
                .singleElement()
                .satisfies(r -> assertThat(r.seconds()).isCloseTo(0.001, within(0.0003)));
    }

    @Test
    void anUncertainOneIsFoundWhereItIsLookedFor() {
        Rises rises = rises(beats(0.002, 0.06, 4));

        assertThat(rises.near(0.0021, 0.0003))
                .hasValueSatisfying(r -> assertThat(r.seconds()).isCloseTo(0.002, within(0.0004)));
        assertThat(rises.near(1, 0.0003)).isEmpty();
    }
}
