package escrel.simulator.counter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SimulatedCounterTest {
    /** Mean and variance of a Poisson distribution are its rate by the time. */
    @Test
    void meanAndVarianceAreTheRateByTheTime() {
        SimulatedCounter counter = new SimulatedCounter(7);
        int[] counts = IntStream.range(0, 4000).map(i -> counter.count(30, 5)).toArray();
        double mean = IntStream.of(counts).average().orElseThrow();
        double variance = IntStream.of(counts)
                .mapToDouble(c -> (c - mean) * (c - mean))
                .average()
                .orElseThrow();

        assertThat(mean).isCloseTo(150, within(1.0));
        assertThat(variance).isCloseTo(150, within(15.0));
    }

    @Test
    void nothingActiveCountsNothingAndNoTimeIsRefused() {
        assertThat(new SimulatedCounter(1).count(0, 5)).isZero();
        assertThat(new SimulatedCounter(3).count(12, 1)).isEqualTo(new SimulatedCounter(3).count(12, 1));
        assertThatThrownBy(() -> new SimulatedCounter(1).count(5, 0)).hasMessageContaining("cannot be counted");
    }
}
