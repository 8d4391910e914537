package escrel.core.marks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.Jobs;
import escrel.core.calibre.Calibres;
import escrel.core.marks.MarkSeen.Kind;
import escrel.core.marks.MarkSeen.On;
import escrel.core.marks.Marks.Comparison;
import escrel.core.marks.Marks.Verdict;
import escrel.core.service.Step;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What agrees, differs, or cannot be told. Source: craft 2.1. */
class MarksTest {
    private static Marks marks(Step... steps) {
        return Jobs.of(Calibres.small(), steps).marks();
    }

    private static MarkSeen number(String part, String text) {
        return new MarkSeen(On.MOVEMENT, part, Kind.NUMBER, text);
    }

    private static Verdict only(Step... steps) {
        Marks marks = marks(steps);
        assertThat(marks.comparisons()).hasSize(1);
        return marks.comparisons().get(0).verdict();
    }

    @ParameterizedTest
    @CsvSource({
        "48213, 48213, AGREES", // the same
        "48213, 482 13, AGREES", // spacing says nothing
        "48213, 8213, AGREES", // a bridge with the last figures
        "48213, 213, AGREES", // three of them
        "48213, 48231, DIFFERS",
        "48213, 9213, DIFFERS",
        "48213, 907, DIFFERS",
        "48213, 13, AGREES", // two figures of its end
        "7, 7, AGREES", // short numbers that kept parts together
        "7, 9, DIFFERS"
    })
    void numbersOfMovementParts(String plate, String bridge, Verdict verdict) {
        assertThat(only(number(null, plate), number("bridge", bridge))).isEqualTo(verdict);
        assertThat(only(number("bridge", bridge), number(null, plate)))
                .as("whichever was read first")
                .isEqualTo(verdict);
    }

    @Test
    void oneNumberAloneTellsNothingAndALaterOneInsideJoins() {
        assertThat(only(number(null, "48213"))).isEqualTo(Verdict.CANNOT_BE_TOLD);
        Marks later = marks(number(null, "48213"), number("bridge", "48213"), number("cock", "51007"));
        assertThat(later.comparisons())
                .extracting(Comparison::verdict)
                .containsExactly(Verdict.AGREES, Verdict.DIFFERS);
        assertThat(later.told())
                .startsWith("number 48213 on movement and number 51007 on Balance with cock differs")
                .contains("on Train bridge agrees (the same number)");
    }

    @Test
    void caseAndMovementMayCarryNumbersOfTheirOwn() {
        MarkSeen ofCase = new MarkSeen(On.CASE, null, Kind.NUMBER, "700412");
        assertThat(marks(ofCase, number(null, "48213")).comparisons())
                .extracting(Comparison::verdict)
                .containsOnly(Verdict.CANNOT_BE_TOLD);
        assertThat(marks(ofCase, number(null, "700 412")).comparisons())
                .extracting(Comparison::verdict)
                .contains(Verdict.AGREES);
    }

    @ParameterizedTest
    @CsvSource({
        "3/1961, 3/1961, AGREES",
        "1/1961, 3/1961, AGREES", // a month or two earlier is usual
        "12/1960, 2/1961, AGREES", // over the turn of the year
        "12/1960, 3/1961, CANNOT_BE_TOLD",
        "4/1961, 3/1961, DIFFERS", // a dial later than its movement is a question
        "1961, 3/1961, CANNOT_BE_TOLD",
        "1962, 1961, DIFFERS"
    })
    void dialAndMovementByTheirDates(String dial, String movement, Verdict verdict) {
        assertThat(only(
                        new MarkSeen(On.DIAL, null, Kind.DATE, dial),
                        new MarkSeen(On.MOVEMENT, null, Kind.DATE, movement)))
                .isEqualTo(verdict);
    }

    @Test
    void calibreIsHeldAgainstTheSheetTheJobIsBoundTo() {
        MarkSeen mark = new MarkSeen(On.MOVEMENT, null, Kind.CALIBRE, "Test");
        assertThat(only(mark)).isEqualTo(Verdict.AGREES);
        assertThat(only(new MarkSeen(On.MOVEMENT, null, Kind.CALIBRE, "T-99"))).isEqualTo(Verdict.DIFFERS);
        assertThat(Jobs.of(null, mark).marks().comparisons().get(0).verdict()).isEqualTo(Verdict.CANNOT_BE_TOLD);
    }

    @Test
    void whatIsOnlyCopiedOutIsComparedWithNothing() {
        Marks marks = marks(
                new MarkSeen(On.MOVEMENT, "bridge", Kind.INSCRIPTION, "cleaned, with two letters"),
                new MarkSeen(On.CASE, null, Kind.REPAIRER, "11/38"));
        assertThat(marks.comparisons()).isEmpty();
        assertThat(marks.all()).hasSize(2);
        assertThat(marks.told()).isEmpty();
    }

    @Test
    void whatIsNoMarkIsRefused() {
        assertThatThrownBy(() -> number(null, "  ")).hasMessageContaining("1 to 200");
        assertThatThrownBy(() -> number(null, "9".repeat(201))).hasMessageContaining("1 to 200");
        assertThatThrownBy(() -> new MarkSeen(On.DIAL, null, Kind.DATE, "13/1961"))
                .hasMessageContaining("1 to 12");
        assertThatThrownBy(() -> new MarkSeen(On.DIAL, null, Kind.DATE, "spring"))
                .hasMessageContaining("3/1961");
    }
}
