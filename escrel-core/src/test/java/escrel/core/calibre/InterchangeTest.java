package escrel.core.calibre;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Lore.Interchange;
import org.junit.jupiter.api.Test;

/** Which parts interchange within a family is knowledge to keep per calibre. Source: craft 2.10. */
class InterchangeTest {
    private static final Interchange ALL_BUT =
            new Interchange(Interchange.ALL, "cv-12", "cannon-pinion, date-ring", "the same movement underneath");
    private static final Interchange ONE = new Interchange("barrel", "cv-12", "barrel-2", "");

    @Test
    void allButSomeFitBothWays() {
        assertThat(ALL_BUT.there("barrel")).contains("barrel");
        assertThat(ALL_BUT.here("barrel")).contains("barrel");
        assertThat(ALL_BUT.there("date-ring")).isEmpty();
        assertThat(ALL_BUT.here("cannon-pinion")).isEmpty();
        assertThat(ALL_BUT.words()).isEqualTo("all with cv-12 but cannon-pinion, date-ring");
        assertThat(new Interchange(Interchange.ALL, "cv-12", "", "").words()).isEqualTo("all with cv-12");
    }

    @Test
    void onePartSaysNothingOfOthers() {
        assertThat(ONE.there("barrel")).contains("barrel-2");
        assertThat(ONE.there("barrel-2")).isEmpty();
        assertThat(ONE.here("barrel-2")).contains("barrel");
        assertThat(ONE.except()).isEmpty();
        assertThat(ONE.words()).isEqualTo("barrel with cv-12");
    }
}
