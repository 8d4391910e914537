package escrel.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.MendableException;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.Washed;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.handover.HandedOver;
import escrel.core.outside.Outside;
import escrel.core.outside.OutsidePiece;
import escrel.core.outside.OutsideSeen;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.FindingRaised;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.Noted;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.core.service.TakenBack;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** One press, one act; taken back as a whole, in its room, newest first, and done again. */
class ActsTest {
    private final List<RecordedStep> recorded = new ArrayList<>();
    private long minute;

    private void act(Step... steps) {
        act(List.of(steps));
    }

    private void act(List<? extends Step> steps) {
        Instant at = Instant.EPOCH.plusSeconds(60 * ++minute);
        steps.forEach(s -> recorded.add(new RecordedStep(recorded.size() + 1, at, s)));
    }

    private Job job() {
        return Job.of(JobHistory.of(recorded), Calibres.small(), Schools.DEFAULT);
    }

    private List<String> off() {
        return job().teardown().order();
    }

    private void undo(String room) {
        act(Acts.of(job()).toTakeBack(room).orElseThrow().takenBack());
    }

    private void redo(String room) {
        act(Acts.of(job()).toDoAgain(room).orElseThrow().takenBack());
    }

    @Test
    void pressThatRecordedTwoStepsIsTakenBackAsOne() {
        act(PartOff.plain("back"));
        act(PartOff.plain("dial"), new Noted("dial", "feet bent"));

        undo(StepKind.STRIP);

        assertThat(off()).containsExactly("back");
        assertThat(job().history().last(Noted.class)).isEmpty();
        redo(StepKind.STRIP);
        assertThat(off()).containsExactly("back", "dial");
        assertThat(job().history().last(Noted.class)).isPresent();
    }

    /** A piece seen bad raises its finding in the same act: it goes with it, where it was seen and nowhere else. */
    @Test
    void findingRaisedAlongWithWhatWasSeenGoesWithIt() {
        act(new OutsideSeen(List.of(OutsidePiece.BEZEL), Grade.GOOD));
        act(
                new OutsideSeen(List.of(OutsidePiece.CRYSTAL), Grade.BROKEN),
                new FindingRaised(null, Grade.BROKEN, Defect.CRACKED, Origin.UNKNOWN, "crystal"));
        assertThat(Acts.of(job()).toTakeBack(StepKind.INSPECT)).isEmpty();

        undo(StepKind.ARRIVAL);

        assertThat(job().findings().all()).isEmpty();
        assertThat(Outside.of(job().history()).isSeen(OutsidePiece.CRYSTAL)).isFalse();
        assertThat(Outside.of(job().history()).isSeen(OutsidePiece.BEZEL)).isTrue();
        redo(StepKind.ARRIVAL);
        assertThat(job().findings().all()).hasSize(1);
        act(new FindingRaised("dial", Grade.MEND, Defect.BENT, Origin.UNKNOWN, ""));
        assertThat(Acts.of(job()).toTakeBack(StepKind.ARRIVAL).orElseThrow().steps())
                .as("found in the inspection: nothing of the arrival")
                .hasSize(2);
    }

    @Test
    void severalAreTakenBackNewestFirstAndDoneAgainOldestFirst() {
        act(PartOff.plain("back"));
        act(PartOff.plain("dial"));
        act(PartOff.plain("cock"));

        undo(StepKind.STRIP);
        undo(StepKind.STRIP);
        assertThat(off()).containsExactly("back");
        redo(StepKind.STRIP);
        assertThat(off()).containsExactly("back", "dial");
        redo(StepKind.STRIP);
        assertThat(off()).containsExactly("back", "dial", "cock");
        assertThat(Acts.of(job()).toDoAgain(StepKind.STRIP)).isEmpty();
        undo(StepKind.STRIP);
        assertThat(off()).as("and back once more").containsExactly("back", "dial");
    }

    @Test
    void onceSomethingElseWasRecordedNothingIsDoneAgain() {
        act(PartOff.plain("back"));
        undo(StepKind.STRIP);
        act(new Noted(null, "something else"));

        assertThat(Acts.of(job()).toDoAgain(StepKind.STRIP)).isEmpty();
    }

    @Test
    void handOverIsNeverTakenBackInPassing() {
        act(PartOff.plain("back"));
        act(new HandedOver("by post", List.of()));

        for (String room : List.of(
                StepKind.ARRIVAL, StepKind.READINGS, StepKind.STRIP, StepKind.INSPECT, StepKind.WASH, StepKind.CLIMB)) {
            Acts.of(job())
                    .toTakeBack(room)
                    .ifPresent(a -> assertThat(a.steps()).noneMatch(s -> s.step() instanceof HandedOver));
        }
    }

    @Test
    void actOfAnotherRoomIsPassedOver() {
        act(PartOff.plain("back"));
        act(new Washed(List.of("back"), Wash.MACHINE, ""));

        assertThat(Acts.of(job())
                        .words(Acts.of(job()).toTakeBack(StepKind.STRIP).orElseThrow()))
                .contains("Back");
        assertThat(Acts.of(job()).toTakeBack(StepKind.CLIMB)).isEmpty();
    }

    @Test
    void whatSomethingElsewhereStandsOnIsNotTakenBack() {
        act(new PartOff("wheel", Grade.MEND, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "chipped", ""));
        act(PartOff.plain("yoke"));
        act(PartOn.plain("wheel"));
        act(new Decided("1", Decision.REPAIR, "", ""));
        Acts acts = Acts.of(job());

        Acts.Act yoke = acts.toTakeBack(StepKind.STRIP).orElseThrow();
        acts.requireNothingStandsOn(yoke, StepKind.STRIP);
        undo(StepKind.STRIP);
        Acts.Act wheel = Acts.of(job()).toTakeBack(StepKind.STRIP).orElseThrow();

        assertThatThrownBy(() -> Acts.of(job()).requireNothingStandsOn(wheel, StepKind.STRIP))
                .isInstanceOfSatisfying(
                        MendableException.class,
                        e -> assertThat(e.whatHappened())
                                .startsWith("Since then: ")
                                .contains("Third wheel"));
    }

    @Test
    void takingBackIsNoActToTakeBack() {
        act(new Noted(null, "one"));
        act(new TakenBack(1));

        assertThat(Acts.of(job()).toTakeBack(StepKind.STRIP)).isEmpty();
    }
}
