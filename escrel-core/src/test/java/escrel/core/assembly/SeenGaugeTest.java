package escrel.core.assembly;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.Side;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeenGaugeTest {
    private static AssemblyTest called(String name) {
        return new AssemblyTest("t", name, Side.DIAL, "a", null, "");
    }

    /** M18: within ten minutes of midnight, either side. */
    @ParameterizedTest
    @CsvSource({"-11, too early", "-10, within", "0, within", "10, within", "11, too late"})
    void dateChangesWithinTenMinutes(int minutes, String words) {
        assertThat(SeenGauge.DATE.judged(minutes)).contains(words);
    }

    /** Craft 2.13: a tooth's tip reaches about two thirds down the other wheel's tooth. */
    @ParameterizedTest
    @CsvSource({"40, too shallow", "67, two thirds", "90, too deep"})
    void couplingReachesTwoThirds(int percent, String words) {
        assertThat(SeenGauge.COUPLING.judged(percent)).contains(words);
    }

    /** Craft 2.13: both hands come back to zero exactly. */
    @ParameterizedTest
    @CsvSource({"-1, short of zero", "0, exactly", "1, beyond zero"})
    void handsComeBackToZeroExactly(int marks, String words) {
        assertThat(SeenGauge.ZERO.judged(marks)).contains(words);
    }

    @Test
    void testIsKnownByItsName() {
        assertThat(SeenGauge.of(called("Date and day jump near midnight"))).contains(SeenGauge.DATE);
        assertThat(SeenGauge.of(called("Date changes three times"))).contains(SeenGauge.DATE);
        assertThat(SeenGauge.of(called("Coupling depth"))).contains(SeenGauge.COUPLING);
        assertThat(SeenGauge.of(called("Both counters back to zero"))).contains(SeenGauge.ZERO);
        assertThat(SeenGauge.of(called("Crown after casing"))).isEmpty();
    }
}
