package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OnsetsTest {
    private static final double RATE = 48_000;
    private static final double BEFORE = 0.010;

    /** The mean energy of forty beats: quiet, then from a moment on a sound that rises and dies away. */
    private static Stack stack(double beginSeconds, double riseSeconds, double loudness, long seed) {
        Random random = new Random(seed);
        double[] energy = new double[(int) (0.020 * RATE)];
        for (int beat = 0; beat < 40; beat++) {
            double phase = random.nextDouble() * 2 * Math.PI;
            for (int i = 0; i < energy.length; i++) {
                double t = i / RATE - BEFORE - beginSeconds;
                double sound = t < 0
                        ? 0
                        : loudness
                                * (1 - Math.exp(-2 * t / riseSeconds))
                                * Math.exp(-t / 0.001)
                                * Math.sin(2 * Math.PI * 6500 * t + phase);
                double x = sound + 0.01 * random.nextGaussian();
                energy[i] += x * x / 40;
            }
        }
        return new Stack(energy, BEFORE, RATE);
    }

    /**
     * Within three samples: the smoothing lets a sharp sound begin two samples early, a slow one less. Lift time and beat
     * error are differences of beginnings, so most of that cancels.
     */
    @ParameterizedTest
    @CsvSource({
        "0, 30e-6, 0.5",
        "0.0000137, 30e-6, 0.5",
        "0.002, 80e-6, 0.5",
        "-0.003, 150e-6, 0.5",
        "0.001, 60e-6, 0.1"
    })
    void beginningIsFoundWhereTheSoundBegins(double begin, double rise, double loudness) {
        Stack stack = stack(begin, rise, loudness, 11);

        assertThat(Onsets.beginning(stack, begin + 0.0001)).isCloseTo(begin, within(0.00006));
    }
}
