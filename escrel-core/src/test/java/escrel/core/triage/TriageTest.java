package escrel.core.triage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.calibre.Calibres;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.lume.LumeItem;
import escrel.core.lume.LumeSeen;
import escrel.core.marks.MarkSeen;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.FindingRaised;
import escrel.core.service.Happened;
import escrel.core.service.Step;
import escrel.core.triage.Checked.Outcome;
import escrel.core.triage.Triage.Reason;
import escrel.core.triage.Triage.Verdict;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the first checks add up to. Source: craft 2.1. */
class TriageTest {
    private static final Step SWINGS = new Checked(Check.BALANCE_SWINGS, Outcome.YES, "");
    private static final Step SOUND = new Checked(Check.DIAL_SOUND, Outcome.YES, "");

    private static Triage triage(Step... steps) {
        return Jobs.of(Calibres.small(), steps).triage();
    }

    @ParameterizedTest
    @CsvSource({"YES, YES, GO_AHEAD", "NO, YES, ASK_THE_OWNER", "YES, NO, ASK_THE_OWNER", "NO, NO, DECLINE"})
    void balanceAndDialWeighMost(Outcome balance, Outcome dial, Verdict verdict) {
        assertThat(triage(new Checked(Check.BALANCE_SWINGS, balance, ""), new Checked(Check.DIAL_SOUND, dial, ""))
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void nothingTriedIsNotEnoughAndALaterTryCounts() {
        assertThat(triage().isEnough()).isFalse();
        assertThat(triage(SWINGS, new Checked(Check.DIAL_SOUND, Outcome.NOT_TRIED, ""))
                        .isEnough())
                .isFalse();
        Triage twice = triage(new Checked(Check.BALANCE_SWINGS, Outcome.NO, "stuck"), SOUND, SWINGS);
        assertThat(twice.isEnough()).isTrue();
        assertThat(twice.verdict()).isEqualTo(Verdict.GO_AHEAD);
    }

    @Test
    void everyReasonIsSaidGravestFirst() {
        Triage triage = triage(
                SWINGS,
                SOUND,
                new LumeSeen(List.of(LumeItem.DIAL)),
                new Checked(Check.DATE_CHANGES, Outcome.NO, ""),
                new MarkSeen(MarkSeen.On.MOVEMENT, null, MarkSeen.Kind.NUMBER, "48213"),
                new MarkSeen(MarkSeen.On.MOVEMENT, "bridge", MarkSeen.Kind.NUMBER, "99107"),
                new Checked(Check.DRY_INSIDE, Outcome.NO, ""));

        assertThat(triage.verdict()).isEqualTo(Verdict.ASK_THE_OWNER);
        assertThat(triage.reasons())
                .extracting(Reason::verdict)
                .containsExactly(
                        Verdict.ASK_THE_OWNER,
                        Verdict.WITH_A_WARNING,
                        Verdict.WITH_A_WARNING,
                        Verdict.WITH_A_WARNING,
                        Verdict.GO_AHEAD);
        assertThat(triage.reasons()).extracting(Reason::why).anyMatch(w -> w.contains("not so: the date changes"));
    }

    @Test
    void manyMissingPartsAreAHeapOfParts() {
        List<Step> steps = new ArrayList<>(List.of(SWINGS, SOUND));
        for (String part : new String[] {"dial", "wheel", "yoke"}) {
            steps.add(new FindingRaised(part, Grade.MISSING, Defect.ABSENT, Origin.UNKNOWN, ""));
        }
        assertThat(triage(steps.toArray(Step[]::new)).verdict()).isEqualTo(Verdict.ASK_THE_OWNER);
        steps.add(new FindingRaised("bridge", Grade.MISSING, Defect.ABSENT, Origin.UNKNOWN, ""));
        assertThat(triage(steps.toArray(Step[]::new)).verdict()).isEqualTo(Verdict.DECLINE);
    }

    @Test
    void whatWasLostHereOrIsDecidedAboutIsNoReasonAnyMore() {
        Step lost = new Happened("yoke", Happened.What.LOST, "flew");
        Step missing = new FindingRaised("wheel", Grade.MISSING, Defect.ABSENT, Origin.UNKNOWN, "");
        Step decided = new Decided("4", Decision.REPLACE_DONOR, "", "a donor");

        assertThat(triage(SWINGS, SOUND, lost).verdict()).isEqualTo(Verdict.GO_AHEAD);
        assertThat(triage(SWINGS, SOUND, lost, missing).verdict()).isEqualTo(Verdict.ASK_THE_OWNER);
        assertThat(triage(SWINGS, SOUND, lost, missing, decided).verdict()).isEqualTo(Verdict.GO_AHEAD);
    }

    @Test
    void unknownCalibreIsAWarningNotAHindrance() {
        assertThat(Jobs.of(null, SWINGS, SOUND).triage().verdict()).isEqualTo(Verdict.WITH_A_WARNING);
    }

    @Test
    void dateThatIsNotThereIsNoFault() {
        assertThat(triage(SWINGS, SOUND, new Checked(Check.DATE_CHANGES, Outcome.NONE, ""))
                        .verdict())
                .isEqualTo(Verdict.GO_AHEAD);
    }
}
