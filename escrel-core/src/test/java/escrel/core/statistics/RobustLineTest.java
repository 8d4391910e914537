package escrel.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class RobustLineTest {
    private static final int BEATS = 120;
    private static final double BEAT = 0.125;

    private final int[] numbers = new int[BEATS];
    private final double[] times = new double[BEATS];

    /** Beats on a line, tocks a little late. */
    private void beats(double late) {
        for (int i = 0; i < BEATS; i++) {
            numbers[i] = i;
            times[i] = 0.3 + BEAT * i + ((i & 1) == 1 ? late : 0);
        }
    }

    @Test
    void exactLineIsFoundWithInterceptsOfTheirOwn() {
        beats(0.0021);

        RobustLine line = RobustLine.fit(numbers, times);

        assertThat(line.slope()).isCloseTo(BEAT, within(1e-12));
        assertThat(line.intercept(0)).isCloseTo(0.3, within(1e-9));
        assertThat(line.intercept(1)).isCloseTo(0.3021, within(1e-9));
        assertThat(line.at(7)).isCloseTo(times[7], within(1e-9));
    }

    @Test
    void outliersAreRejectedAndDoNotMoveTheLine() {
        beats(0);
        Random random = new Random(3);
        for (int i = 0; i < BEATS; i++) {
            times[i] += 20e-6 * random.nextGaussian();
        }
        for (int i = 5; i < BEATS; i += 10) {
            times[i] += 0.004;
        }

        RobustLine line = RobustLine.fit(numbers, times);

        // 20 µs of scatter over 108 beats leave 0.06 µs a beat
        assertThat(line.slope()).isCloseTo(BEAT, within(3e-7));
        assertThat(line.sigma()).isCloseTo(20e-6, within(8e-6));
        for (int i = 5; i < BEATS; i += 10) {
            assertThat(line.rejects(i)).isTrue();
        }
    }

    @Test
    void missedBeatsKeepTheirNumber() {
        beats(0.001);
        for (int i = 20; i < 40; i++) {
            times[i] = Double.NaN;
        }

        RobustLine line = RobustLine.fit(numbers, times);

        assertThat(line.slope()).isCloseTo(BEAT, within(1e-12));
        assertThat(line.rejects(25)).isTrue();
        assertThat(line.residuals()[25]).isNaN();
    }

    @Test
    void shiftAndScalePassThrough() {
        beats(0.0005);
        RobustLine as = RobustLine.fit(numbers, times);
        double[] moved = new double[BEATS];
        for (int i = 0; i < BEATS; i++) {
            moved[i] = 10 + 2 * times[i];
        }

        RobustLine line = RobustLine.fit(numbers, moved);

        assertThat(line.slope()).isCloseTo(2 * as.slope(), within(1e-9));
        assertThat(line.intercept(1) - line.intercept(0)).isCloseTo(0.001, within(1e-9));
    }
}
