package escrel.core.service;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import escrel.core.condition.Grade;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class JobHistoryTest {
    private static RecordedStep at(int sequence, Step step) {
        return new RecordedStep(sequence, Instant.EPOCH, step);
    }

    private final Step one = new Noted(null, "one");
    private final Step two = new Noted(null, "two");

    @Test
    void takenBackStepStaysOnRecordAndNoLongerCounts() {
        JobHistory history = JobHistory.of(List.of(at(1, one), at(2, two), at(3, new TakenBack(2))));

        assertThat(history.recorded()).hasSize(3);
        assertThat(history.all(Noted.class)).containsExactly((Noted) one);
        assertThat(history.lastSequence()).isEqualTo(3);
    }

    @Test
    void takingBackThatIsTakenBackLetsItsStepCountAgain() {
        List<RecordedStep> steps = new ArrayList<>(List.of(at(1, one), at(2, two), at(3, new TakenBack(2))));
        steps.add(at(4, new TakenBack(3)));
        assertThat(JobHistory.of(steps).all(Noted.class)).containsExactly((Noted) one, (Noted) two);

        steps.add(at(5, new TakenBack(4)));
        assertThat(JobHistory.of(steps).all(Noted.class)).containsExactly((Noted) one);
    }

    @Test
    void gapIsRefusedWithItsPlace() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> JobHistory.of(List.of(at(1, one), at(3, two))))
                .withMessageContaining("step 2 is missing");
    }

    @Test
    void takingBackALaterStepIsRefused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> JobHistory.of(List.of(at(1, one), at(2, new TakenBack(5)))))
                .withMessageContaining("step 5");
    }

    @Test
    void emptyHistoryHasNothing() {
        assertThat(JobHistory.empty().lastSequence()).isZero();
    }

    private static Step off(String part) {
        return new PartOff(part, Grade.GOOD, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "", "");
    }

    private static CalibreBound bound(String calibre, Map<String, String> sameAs) {
        return new CalibreBound(calibre, 1, "", CalibreBound.As.FAMILY, sameAs);
    }

    private static List<String> offs(Step... steps) {
        List<RecordedStep> recorded = new ArrayList<>();
        for (Step step : steps) {
            recorded.add(at(recorded.size() + 1, step));
        }
        return JobHistory.of(recorded)
                .inPresentCodes()
                .all(PartOff.class)
                .map(PartOff::part)
                .toList();
    }

    /** What was called "wheel" here is the sheet's "third", and the sheet has a "wheel" of its own. */
    @Test
    void bindingReadsTheStepsBeforeItAndNeverThoseAfterIt() {
        assertThat(offs(
                        off("wheel"),
                        off("other"),
                        bound("cv", Map.of("wheel", "third", "other", "wheel")),
                        off("wheel"),
                        off("other")))
                .containsExactly("third", "wheel", "wheel", "other");
    }

    @Test
    void secondBindingComposesWithTheFirst() {
        assertThat(offs(
                        off("w1"),
                        bound("family", Map.of("w1", "third")),
                        off("fourth"),
                        bound("cv", Map.of("third", "cv-third", "fourth", "cv-fourth")),
                        off("cv-barrel")))
                .containsExactly("cv-third", "cv-fourth", "cv-barrel");
    }

    /** A new version of a sheet repeats what the working names were; that is no second renaming. */
    @Test
    void anotherVersionOfTheSameSheetRenamesNothingTwice() {
        Map<String, String> swapped = Map.of("a", "b", "b", "a");
        assertThat(offs(
                        off("a"),
                        new CalibreBound("cv", 1, "", CalibreBound.As.CALIBRE, swapped),
                        off("b"),
                        new CalibreBound("cv", 2, "", CalibreBound.As.CALIBRE, swapped)))
                .containsExactly("b", "b");
    }
}
