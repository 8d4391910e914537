package escrel.core.timing.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ExpectationsTest {
    private static ReadingSet service(double rate) {
        return ReadingSets.rates(ReadingState.FINAL_CASED, rate, rate - 4);
    }

    @Test
    void saysNothingOfTwoServices() {
        assertThat(Expectations.of(List.of(service(1), service(2)))).isEmpty();
    }

    /** Mean rates −2, −1, 0, 1, 2 of five services: median 0, quarters at −1 and 1. */
    @Test
    void medianAndQuartersOfFive() {
        List<ReadingSet> sets =
                IntStream.range(0, 5).mapToObj(i -> service(4 - i)).toList();

        Expectations.Figure rate = Expectations.of(sets).get(0);

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
}
