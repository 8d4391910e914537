package escrel.core.lubrication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Values of M13. */
class EscapeDosingTest {
    @ParameterizedTest
    @CsvSource({"15, 3", "20, 4", "21, 5"})
    void doses(int teeth, int doses) {
        assertThat(EscapeDosing.forTeeth(teeth).doses()).isEqualTo(doses);
    }

    @Test
    void noTeethIsRefused() {
        assertThatIllegalArgumentException().isThrownBy(() -> EscapeDosing.forTeeth(0));
    }
}
