package escrel.core.timing.readings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.Measured;
import org.junit.jupiter.api.Test;

class DeviceClockTest {
    /** M2: 50 ppm are 4.3 s/d. */
    @Test
    void fiftyPartsPerMillionAreFourPointThreeSecondsADay() {
        Measured corrected = new DeviceClock("mic", 50, 2.0).correct(Measured.withStandardError(-4.32, 0.1));

        assertThat(corrected.value()).isCloseTo(0, within(1e-9));
        assertThat(corrected.doubt()).isEqualTo(0.1);
        assertThat(new DeviceClock("mic", 50, 2.0).doubtSecondsPerDay()).isCloseTo(0.1728, within(1e-9));
    }

    @Test
    void referenceGivesTheClockThatCorrectsIt() {
        Measured heard = Measured.withStandardError(-3.1, 0.2);
        Measured truth = Measured.withStandardError(1.2, 0.3);

        DeviceClock clock = DeviceClock.fromReference("mic", heard, truth);

        assertThat(clock.correct(heard).value()).isCloseTo(1.2, within(1e-9));
        assertThat(clock.doubtSecondsPerDay()).isCloseTo(Math.hypot(0.2, 0.3), within(1e-9));
    }

    @Test
    void uncalibratedChangesNothingAndSaysSo() {
        DeviceClock clock = DeviceClock.uncalibrated("mic");

        assertThat(clock.calibrated()).isFalse();
        assertThat(clock.correct(Measured.single(4))).isEqualTo(Measured.single(4));
        assertThat(clock.sameAs(DeviceClock.uncalibrated("mic"))).isTrue();
        assertThat(clock.sameAs(new DeviceClock("mic", 5, 1.0))).isFalse();
        assertThat(clock.sameAs(null)).isFalse();
        assertThatThrownBy(() -> new DeviceClock("mic", Double.NaN, null)).isInstanceOf(IllegalArgumentException.class);
    }
}
