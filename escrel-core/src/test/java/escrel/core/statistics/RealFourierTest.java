package escrel.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RealFourierTest {
    /** Against the plain definition, {@code X_k = Σ x_n e^(−2πi kn/N)}. */
    @ParameterizedTest
    @ValueSource(ints = {4, 8, 64, 512})
    void agreesWithThePlainDefinition(int size) {
        Random random = new Random(size);
        double[] values = random.doubles(size, -1, 1).toArray();
        double[][] spectrum = new RealFourier(values.length).transform(values);

        assertThat(spectrum[0]).hasSize(size / 2 + 1);
        for (int k = 0; k <= size / 2; k++) {
            double re = 0;
            double im = 0;
            for (int n = 0; n < size; n++) {
                double angle = -2 * Math.PI * k * n / size;
                re += values[n] * Math.cos(angle);
                im += values[n] * Math.sin(angle);
            }
            // rounding of some hundreds of additions
            assertThat(spectrum[0][k]).isCloseTo(re, within(1e-10));
            assertThat(spectrum[1][k]).isCloseTo(im, within(1e-10));
        }
    }
}
