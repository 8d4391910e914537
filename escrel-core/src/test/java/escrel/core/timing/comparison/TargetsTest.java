package escrel.core.timing.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TargetsTest {
    @ParameterizedTest
    @CsvSource({
        "179, very low",
        "180, low",
        "220, fair for old work",
        "250, healthy",
        "314, healthy",
        "315, high",
        "330, risk of knocking"
    })
    void amplitudeBands(double degrees, String words) {
        assertThat(Targets.amplitudeBand(degrees)).isEqualTo(words);
    }
}
