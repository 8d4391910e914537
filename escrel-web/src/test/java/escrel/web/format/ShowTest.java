package escrel.web.format;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class ShowTest {
    private final Show show = new Show();

    @Test
    void numbersCarryTheirDoubt() {
        assertThat(show.rate(Measured.withStandardError(-4.26, 0.13))).isEqualTo("−4.3 ± 0.1");
        assertThat(show.rate(Measured.withStandardError(4.2, 0.01))).isEqualTo("+4.2 ± <0.1");
        assertThat(show.amplitude(Measured.withStandardError(271.6, 0.3))).isEqualTo("272 ± <1");
        assertThat(show.beatError(Measured.single(0.44))).isEqualTo("0.4");
    }

    @Test
    void rangesKeepBothEnds() {
        assertThat(show.rate(Measured.ofRange(-12, -4))).isEqualTo("−12.0 … −4.0");
    }

    @Test
    void nothingIsNothing() {
        assertThat(show.rate(null)).isEqualTo("–");
        assertThat(show.degrees(OptionalDouble.empty())).isEqualTo("–");
    }

    @Test
    void assumedLiftAngleSaysSo() {
        assertThat(show.liftAngle(LiftAngle.ASSUMED_52)).isEqualTo("52° assumed");
        assertThat(show.liftAngle(LiftAngle.known(50))).isEqualTo("50°");
    }
}
