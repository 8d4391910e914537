package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.timing.beats.Beginning.Places;
import org.junit.jupiter.api.Test;

class EquallyLongTest {
    private static final double STEP = 7e-6;
    private static final int COUNT = 120;

    /** Places from a first one on, hills of a width at one place or more, equally likely. */
    private static Places places(double first, double width, double... hills) {
        double[] weight = new double[COUNT];
        double sum = 0;
        for (int p = 0; p < COUNT; p++) {
            for (double hill : hills) {
                double off = (first + p * STEP - hill) / width;
                weight[p] += Math.exp(-off * off / 2);
            }
            sum += weight[p];
        }
        for (int p = 0; p < COUNT; p++) {
            weight[p] /= sum;
        }
        return new Places(weight, first, STEP);
    }

    @Test
    void whatOneSoundLeavesOpenTheThreeOthersSettle() {
        // tick 10 ms, tock 0.2 ms later throughout; the tick's unlocking may as well be 0.3 ms later
        Places tickUnlock = places(-0.0104, 10e-6, -0.0100, -0.0097);
        Places tockUnlock = places(-0.0102, 10e-6, -0.0098);
        Places tickDrop = places(-0.0004, 10e-6, 0);
        Places tockDrop = places(-0.0002, 10e-6, 0.0002);

        EquallyLong both = EquallyLong.of(new Places[] {tickUnlock, tockUnlock}, new Places[] {tickDrop, tockDrop});

        assertThat(tickUnlock.mean()).as("half way between").isCloseTo(-0.00985, within(20e-6));
        assertThat(both.unlock()[0]).isCloseTo(-0.0100, within(10e-6));
        assertThat(both.unlock()[1]).isCloseTo(-0.0098, within(10e-6));
        assertThat(both.drop()[1] - both.drop()[0]).isCloseTo(0.0002, within(10e-6));
        assertThat(both.agreement()).isGreaterThan(0.1);
    }

    @Test
    void whatCannotBeEquallyLongIsSaidNotToAgree() {
        EquallyLong both = EquallyLong.of(
                new Places[] {places(-0.0104, 8e-6, -0.0100), places(-0.0102, 8e-6, -0.0098)},
                new Places[] {places(-0.0004, 8e-6, 0), places(-0.0002, 8e-6, 0.0005)});

        assertThat(both.agreement()).isLessThan(BeatTimes.AGREED);
        // and nothing is bent to fit
        assertThat(both.drop()[1]).isCloseTo(0.0005, within(10e-6));
    }
}
