package escrel.core.timing.acoustics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RealFourierTest {
    /** Against the plain definition, {@code X_k = Σ x_n e^(−2πi kn/N)}. */
    @ParameterizedTest
    @ValueSource(ints = {4, 8, 64, 512})
    void agreesWithThePlainDefinition(int size) {
        Random random = new Random(size);
        double[] values = random.doubles(size, -1, 1).toArray();
        double[][] spectrum = RealFourier.transform(values);

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

    @Test
    void likenessIsTheCorrelationOfPearson() {
        Random random = new Random(3);
        double[] series = random.doubles(200, 0, 10).toArray();
        double[] pattern = random.doubles(37, 0, 5).toArray();
        Likeness likeness = new Likeness(series);
        Likeness.Pattern ready = Likeness.Pattern.of(pattern, 0, pattern.length);

        for (int from : new int[] {0, 1, 50, 163}) {
            assertThat(likeness.of(ready, from)).isCloseTo(pearson(pattern, series, from), within(1e-9));
        }
        assertThat(likeness.of(Likeness.Pattern.of(series, 20, 41), 20)).isCloseTo(1, within(1e-9));
        assertThat(new Likeness(new double[100]).of(ready, 10)).isZero();
        assertThat(likeness.of(Likeness.Pattern.of(new double[40], 0, 40), 10)).isZero();
    }

    private static double pearson(double[] pattern, double[] series, int from) {
        double meanP = 0;
        double meanS = 0;
        for (int i = 0; i < pattern.length; i++) {
            meanP += pattern[i] / pattern.length;
            meanS += series[from + i] / pattern.length;
        }
        double ps = 0;
        double pp = 0;
        double ss = 0;
        for (int i = 0; i < pattern.length; i++) {
            ps += (pattern[i] - meanP) * (series[from + i] - meanS);
            pp += (pattern[i] - meanP) * (pattern[i] - meanP);
            ss += (series[from + i] - meanS) * (series[from + i] - meanS);
        }
        return ps / Math.sqrt(pp * ss);
    }
}
