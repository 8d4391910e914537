package escrel.core.timing.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.Histories;
import escrel.core.quantity.Measured;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Wound;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ExpectationsTest {
    private static ReadingSet service(double rate) {
        return ReadingSets.rates(ReadingState.FINAL_CASED, rate, rate - 4);
    }

    private static double[] figures(double rate) {
        return Expectations.figuresOf(service(rate));
    }

    @Test
    void saysNothingOfTwoServices() {
        assertThat(Expectations.of(List.of(figures(1), figures(2)))).isEmpty();
    }

    /** Mean rates −2, −1, 0, 1, 2 of five services: median 0, quarters at −1 and 1. */
    @Test
    void medianAndQuartersOfFive() {
        List<double[]> services =
                IntStream.range(0, 5).mapToObj(i -> figures(4 - i)).toList();

        Expectations.Figure rate = Expectations.of(services).get(0);

        assertThat(rate.name()).isEqualTo("mean rate");
        assertThat(rate.values()).containsExactly(-2, -1, 0, 1, 2);
        assertThat(rate.median()).isCloseTo(0, within(1e-9));
        assertThat(rate.low()).isCloseTo(-1, within(1e-9));
        assertThat(rate.high()).isCloseTo(1, within(1e-9));
        assertThat(rate.percentBelow(1)).isCloseTo(70, within(1e-9));
        assertThat(rate.percentBelow(-9)).isZero();
        assertThat(Expectations.own(service(7), "mean rate")).hasValue(5);
        assertThat(Expectations.own(service(7), "nothing of the kind")).isEmpty();
    }

    @Test
    void watchThatWasOnlyRegulatedIsNoService() {
        ReadingTaken last = new ReadingTaken(
                ReadingState.FINAL_CASED,
                Fitted.CASED,
                Wound.FULL,
                ReadingSets.reading(Position.DIAL_UP, Measured.single(4), 270));

        assertThat(Expectations.ofService(Histories.of(last))).isEmpty();
        assertThat(Expectations.ofService(Histories.of(PartOff.plain("dial"), PartOn.plain("dial"))))
                .isEmpty();
        assertThat(Expectations.ofService(Histories.of(PartOff.plain("dial"), PartOn.plain("dial"), last)))
                .isPresent();
    }
}
