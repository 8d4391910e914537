package escrel.web.desk;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AgreementTest {
    private final Agreement agreement = new Agreement();

    private boolean afterAll(String amplitudes) {
        boolean agreed = false;
        for (String amplitude : amplitudes.split(" ")) {
            agreed = agreement.with(Double.parseDouble(amplitude));
        }
        return agreed;
    }

    @ParameterizedTest
    @CsvSource({
        "255, false",
        "255 256, false",
        "255 256 254, true",
        // unlocking taken for the impulse once: three more are waited for
        "255 256 380 255, false",
        "255 256 380 255 256, false",
        "255 256 380 255 256 254, true",
        // by and by is no jump
        "250 254 258 262, true",
        "250 256 262, false"
    })
    void threeInARowHaveToSayTheSame(String amplitudes, boolean agreed) {
        assertThat(afterAll(amplitudes)).isEqualTo(agreed);
    }

    @Test
    void whatWasHeardBeforeAnInterruptionDoesNotCount() {
        afterAll("255 255 255");
        agreement.interrupted();

        assertThat(agreement.with(255)).isFalse();
        assertThat(agreement.with(255)).isFalse();
        assertThat(agreement.with(255)).isTrue();
    }
}
