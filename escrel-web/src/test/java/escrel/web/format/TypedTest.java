package escrel.web.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.text.ParseException;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"1.5;1.5", "1,5;1.5", "−12,25;-12.25", "-3;-3", "+4;4", ".5;0.5", "7.;7"})
    void commaPointAndEveryMinusAreRead(String typed, double number) throws ParseException {
        assertThat(Typed.number(typed)).isEqualTo(number);
    }

    @ParameterizedTest
    @ValueSource(strings = {"NaN", "Infinity", "-Infinity", "1e5", "0x10", "1,000.5", "two", "1234567890123", "٣"})
    void whatIsNoNumberIsNone(String typed) {
        assertThatThrownBy(() -> Typed.number(typed)).isInstanceOf(ParseException.class);
    }

    /** A clock whose doubt was no number broke the turn and the report of every job read with it. */
    @Test
    void clockIsTypedWithACommaAndItsDoubtIsANumber() {
        Visitor visitor = new Visitor(EscrelServer.demo().url());
        assertThat(visitor.post("/devices/typed", Map.of("device", "comma", "ppm", "−1,5", "doubtPpm", "0,5"))
                        .body())
                .contains("runs 1.5 ± 0.5 ppm slow");
        assertThat(visitor.post("/devices/typed", Map.of("device", "none", "ppm", "1", "doubtPpm", "NaN"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(visitor.get("/devices").body()).doesNotContain("none</");
    }
}
