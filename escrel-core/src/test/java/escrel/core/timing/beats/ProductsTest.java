package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** However many places are asked for, each has the sum of products that a plain loop gives. */
class ProductsTest {
    private static double plain(double[] pattern, double[] series, int from) {
        double sum = 0;
        for (int i = 0; i < pattern.length; i++) {
            sum += pattern[i] * series[from + i];
        }
        return sum;
    }

    private static double[] any(Random random, int length) {
        return random.doubles(length, -1, 1).toArray();
    }

    @Test
    void knownByHand() {
        double[] sums = new double[3];
        Products.of(new double[] {1, 10, 100}, new double[] {1, 2, 3, 4, 5}, 0, sums);
        assertThat(sums).containsExactly(321, 432, 543);
    }

    /** Odd and even in every combination; the last place ends where the series does. */
    @ParameterizedTest
    @CsvSource({"1, 1", "1, 2", "2, 3", "3, 4", "4, 1", "4, 2", "5, 7", "8, 8", "37, 49", "72, 25", "187, 41"})
    void everyPlaceHasItsOwn(int length, int places) {
        Random random = new Random(31L * length + places);
        double[] pattern = any(random, length);
        int before = random.nextInt(5);
        double[] series = any(random, before + length + places - 1);
        double[] sums = new double[places];
        Products.of(pattern, series, before, sums);
        for (int place = 0; place < places; place++) {
            assertThat(sums[place])
                    .isCloseTo(plain(pattern, series, before + place), within(1e-12))
                    .isEqualTo(Products.of(pattern, series, before + place));
        }
    }
}
