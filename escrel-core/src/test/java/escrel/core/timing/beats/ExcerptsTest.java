package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ExcerptsTest {
    private final float[] samples = samples();

    private static float[] samples() {
        Random random = new Random(21);
        float[] out = new float[1000];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) random.nextGaussian();
        }
        return out;
    }

    /** At 1000 samples a second: beats at samples 100.3 and 499.8, and two too near the ends. */
    private Excerpts excerpts() {
        return new Excerpts(samples, 1000, new double[] {0.1003, 0.4998, 0.012, 0.99}, 10, 33, 4);
    }

    @Test
    void sumsAndEnergiesAreThoseOfTheSamplesHoweverShifted() {
        Excerpts cut = excerpts();
        for (int shift = -4; shift <= 4; shift++) {
            int from = 490 + shift;
            double energy = 0;
            double sum = 0;
            for (int i = 0; i < 33; i++) {
                double x = samples[from + i];
                energy += x * x;
                sum += x;
            }
            assertThat(cut.at(1, shift)).isEqualTo(from);
            assertThat(cut.energy(1, shift)).isCloseTo(energy, within(1e-4));
            assertThat(cut.sum(1, shift)).isCloseTo(sum, within(1e-4));
        }
    }

    @Test
    void aroundOneLieTheSamplesAsFarAsItMayBeShifted() {
        double[] around = new double[33 + 2 * 4];
        excerpts().around(1, around);
        for (int i = 0; i < around.length; i++) {
            assertThat(around[i]).isEqualTo(samples[486 + i]);
        }
    }

    @Test
    void roundingSaysHowFarEachIsFromItsExactPlace() {
        Excerpts cut = excerpts();
        assertThat(cut.rounding(0)).isCloseTo(-0.3, within(1e-9));
        assertThat(cut.rounding(1)).isCloseTo(0.2, within(1e-9));
    }

    @Test
    void beatThatCannotBeShiftedAsFarAsItMayIsNotInside() {
        Excerpts cut = excerpts();
        assertThat(IntStream.range(0, cut.count()).mapToObj(cut::inside)).containsExactly(true, true, false, false);
    }

    @Test
    void addingTwoLaysThemOverEachOther() {
        Excerpts cut = excerpts();
        double[] sum = new double[cut.length()];
        cut.add(sum, 0, 1, 2);
        cut.add(sum, 1, 0, -0.5);
        for (int i = 0; i < sum.length; i++) {
            assertThat(sum[i]).isCloseTo(2.0 * samples[91 + i] - 0.5 * samples[490 + i], within(1e-6));
        }
    }
}
