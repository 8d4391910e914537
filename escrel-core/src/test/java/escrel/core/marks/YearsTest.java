package escrel.core.marks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import escrel.core.marks.YearsKept.Certainty;
import escrel.core.marks.YearsKept.Row;
import escrel.core.service.RecordedStep;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class YearsTest {
    private static final YearsKept TABLE = new YearsKept(
            "Tidewell",
            MarkSeen.On.MOVEMENT,
            Certainty.COLLECTED,
            List.of(new Row(20_000, 1958), new Row(10_000, 1955), new Row(40_000, 1963)));

    private static Years after(YearsKept... tables) {
        List<RecordedStep> acts = new ArrayList<>();
        for (YearsKept table : tables) {
            acts.add(new RecordedStep(acts.size() + 1, Instant.EPOCH, table));
        }
        return Years.of(acts);
    }

    private static MarkSeen mark(MarkSeen.Kind kind, String text) {
        return new MarkSeen(MarkSeen.On.MOVEMENT, null, kind, text);
    }

    @ParameterizedTest
    @CsvSource({
        "9 999, 1955 or before",
        "10000, 1955 to 1958",
        "18344, 1955 to 1958",
        "20.000, 1958 to 1963",
        "40000, 1963 or later",
        "999999, 1963 or later",
    })
    void numberLiesBetweenTwoRows(String number, String words) {
        assertThat(TABLE.of(number).orElseThrow().words()).isEqualTo(words);
    }

    @Test
    void whatIsNoNumberSaysNothing() {
        assertThat(TABLE.of("A 18344")).isEmpty();
        assertThat(TABLE.of("")).isEmpty();
        assertThat(TABLE.of("1234567890123")).isEmpty();
    }

    @Test
    void dateOnTheSameIsHeldAgainstIt() {
        List<MarkSeen> number = List.of(mark(MarkSeen.Kind.NUMBER, "18344"));
        assertThat(after(TABLE).of("tidewell ", number))
                .singleElement()
                .satisfies(c -> assertThat(c.verdict()).isEqualTo(Marks.Verdict.CANNOT_BE_TOLD))
                .satisfies(c -> assertThat(c.what()).isEqualTo("number 18344: 1955 to 1958"))
                .satisfies(c -> assertThat(c.why()).contains("watches seen here"));
        assertThat(after(TABLE).of("Tidewell", List.of(number.get(0), mark(MarkSeen.Kind.DATE, "3/1957"))))
                .extracting(Marks.Comparison::verdict)
                .containsExactly(Marks.Verdict.AGREES);
        assertThat(after(TABLE).of("Tidewell", List.of(number.get(0), mark(MarkSeen.Kind.DATE, "1961"))))
                .extracting(Marks.Comparison::verdict)
                .containsExactly(Marks.Verdict.DIFFERS);
        assertThat(after(TABLE).of("Skarholt", number)).isEmpty();
    }

    @Test
    void laterTableTakesThePlaceOfTheEarlierAndAnEmptyOneOfNone() {
        YearsKept other = new YearsKept("TIDEWELL", MarkSeen.On.MOVEMENT, Certainty.LISTED, List.of(new Row(1, 1900)));
        assertThat(after(TABLE, other).all()).containsExactly(other);
        YearsKept none = new YearsKept("Tidewell", MarkSeen.On.MOVEMENT, Certainty.LISTED, List.of());
        assertThat(after(TABLE, none).all()).isEmpty();
    }

    @Test
    void numbersRiseWithTheYears() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new YearsKept(
                        "x", MarkSeen.On.CASE, Certainty.HEARD, List.of(new Row(5, 1960), new Row(9, 1950))))
                .withMessageContaining("rise with the years");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new YearsKept(
                        "x", MarkSeen.On.CASE, Certainty.HEARD, List.of(new Row(5, 1960), new Row(5, 1961))));
        assertThatIllegalArgumentException().isThrownBy(() -> new Row(1, 99));
    }
}
