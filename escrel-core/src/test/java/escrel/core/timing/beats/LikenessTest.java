package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LikenessTest {
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

    @Test
    void alongASeriesItIsWhatItIsAtEachPlace() {
        Random random = new Random(4);
        double[] series = random.doubles(120, 0, 10).toArray();
        Arrays.fill(series, 40, 90, 3);
        double[] pattern = random.doubles(21, 0, 5).toArray();
        double[] along = new double[70];
        new Likeness(series).along(Likeness.Pattern.of(pattern, 0, 21), 7, along);

        for (int i = 0; i < along.length; i++) {
            boolean flat = 7 + i >= 40 && 7 + i + 21 <= 90;
            assertThat(along[i]).as("at %d", 7 + i).isCloseTo(flat ? 0 : pearson(pattern, series, 7 + i), within(1e-9));
        }
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
