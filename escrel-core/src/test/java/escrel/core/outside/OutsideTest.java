package escrel.core.outside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.Histories;
import escrel.core.Jobs;
import escrel.core.calibre.Calibres;
import escrel.core.condition.Grade;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.triage.Check;
import escrel.core.triage.Checked;
import escrel.core.triage.Triage;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OutsideTest {
    private static OutsideSeen seen(Grade grade, OutsidePiece... pieces) {
        return new OutsideSeen(List.of(pieces), grade);
    }

    private static Triage triage(Step... steps) {
        return Jobs.of(Calibres.small(), steps).triage();
    }

    @Test
    void latestLookCountsAndOneTakenBackNever() {
        Outside outside = Outside.of(Histories.of(
                seen(Grade.GOOD, OutsidePiece.CRYSTAL, OutsidePiece.BEZEL),
                seen(Grade.BROKEN, OutsidePiece.CRYSTAL),
                seen(Grade.MEND, OutsidePiece.BEZEL),
                new TakenBack(3)));

        assertThat(outside.grade(OutsidePiece.CRYSTAL)).contains(Grade.BROKEN);
        assertThat(outside.grade(OutsidePiece.BEZEL)).contains(Grade.GOOD);
        assertThat(outside.left()).hasSize(OutsidePiece.values().length - 2).doesNotContain(OutsidePiece.CRYSTAL);
    }

    /** What the outside says is not asked again; what is said by itself goes before it. */
    @ParameterizedTest
    @CsvSource({"GOOD, YES", "WORN, YES", "MEND, NO", "BROKEN, NO", "MISSING, NO"})
    void dialSeenAnswersItsCheck(Grade grade, Checked.Outcome outcome) {
        assertThat(triage(seen(grade, OutsidePiece.DIAL))
                        .checks()
                        .get(Check.DIAL_SOUND)
                        .outcome())
                .isEqualTo(outcome);
        assertThat(triage(seen(grade, OutsidePiece.DIAL), new Checked(Check.DIAL_SOUND, Checked.Outcome.NOT_TRIED, ""))
                        .checks()
                        .get(Check.DIAL_SOUND)
                        .outcome())
                .isEqualTo(Checked.Outcome.NOT_TRIED);
    }

    @Test
    void whatCannotBeToldAnswersNothing() {
        assertThat(triage(seen(Grade.NOT_JUDGED, OutsidePiece.DIAL)).checks()).isEmpty();
    }

    @Test
    void caseIsSoundOnlyWhenAllOfItWasSeen() {
        OutsidePiece[] ofCase = Arrays.stream(OutsidePiece.values())
                .filter(OutsidePiece::isOfTheCase)
                .toArray(OutsidePiece[]::new);
        assertThat(triage(seen(Grade.GOOD, OutsidePiece.CASE)).checks()).isEmpty();
        assertThat(triage(seen(Grade.GOOD, ofCase))
                        .checks()
                        .get(Check.CASE_SOUND)
                        .outcome())
                .isEqualTo(Checked.Outcome.YES);
        assertThat(triage(seen(Grade.BROKEN, OutsidePiece.CRYSTAL))
                        .checks()
                        .get(Check.CASE_SOUND)
                        .outcome())
                .as("one broken piece is enough")
                .isEqualTo(Checked.Outcome.NO);
    }

    @Test
    void watchWithoutPushersIsAskedForNoChronograph() {
        assertThat(triage(new OutsideSeen(List.of(OutsidePiece.PUSHERS), null)).checks())
                .hasSize(3)
                .allSatisfy((check, checked) -> {
                    assertThat(check.isOfAChronograph()).isTrue();
                    assertThat(checked.outcome()).isEqualTo(Checked.Outcome.NONE);
                });
    }

    @Test
    void parcelNamesWhatCame() {
        assertThat(new ParcelCame(List.of(ParcelItem.STRAP, ParcelItem.WATCH, ParcelItem.STRAP), " a tobacco tin ")
                        .said())
                .isEqualTo("the watch, strap or bracelet, a tobacco tin");
        assertThatThrownBy(() -> new ParcelCame(List.of(), " ")).hasMessage("What came is not said");
        assertThatThrownBy(() -> new OutsideSeen(List.of(), Grade.GOOD)).isInstanceOf(IllegalArgumentException.class);
    }
}
