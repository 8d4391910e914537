package escrel.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class QuantityTest {
    /** Values of M1. */
    @ParameterizedTest
    @CsvSource({"18000, 0.4, 5", "21600, 0.33333, 6", "28800, 0.25, 8", "36000, 0.2, 10"})
    void beatAndPeriod(double beats, double period, double perSecond) {
        BeatRate rate = BeatRate.of(beats);

        assertThat(rate.periodSeconds()).isCloseTo(period, within(5e-6)); // as printed, five decimals
        assertThat(rate.beatsPerSecond()).isEqualTo(perSecond);
        assertThat(rate.beatSeconds()).isEqualTo(rate.periodSeconds() / 2);
    }

    /** Values of M2. */
    @ParameterizedTest
    @CsvSource({"28800, 0.12500145, -1.002", "18000, 0.1999884, 5.011"})
    void rateFromMeanBeat(double beats, double beat, double rate) {
        assertThat(Rate.ofMeanBeat(BeatRate.of(beats), beat).secondsPerDay()).isCloseTo(rate, within(5e-4));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, -1, Double.NaN, Double.POSITIVE_INFINITY})
    void whatCannotExistIsRefusedWithItsValue(double value) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> BeatRate.of(value))
                .withMessageContaining(String.valueOf(value));
    }

    @Test
    void rangeKeepsMiddleAndHalfWidth() {
        Measured range = Measured.ofRange(-4, -12);

        assertThat(range.value()).isEqualTo(-8);
        assertThat(range.doubt()).isEqualTo(4);
        assertThat(range.low()).isEqualTo(-12);
        assertThat(range.high()).isEqualTo(-4);
        assertThat(range.isRange()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"60, false", "60.1, true", "359.9, true", "360, false"})
    void amplitudeIsCredibleBetweenSixtyAndThreeHundredSixty(double degrees, boolean credible) {
        assertThat(Amplitude.ofDegrees(degrees).credible()).isEqualTo(credible);
    }

    @Test
    void beatErrorFromIntervals() {
        assertThat(BeatError.ofIntervals(0.2014, 0.1986).millis()).isCloseTo(1.4, within(1e-9));
    }
}
