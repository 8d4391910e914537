package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.Washed;
import escrel.core.condition.Grade;
import escrel.core.job.Job;
import escrel.core.job.StepRegister;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.service.WorkAgreed;
import escrel.web.room.Rooms;
import escrel.web.testing.BenchHand;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever is recorded and taken back, every state is what it was. */
class UndoTest {
    private static final CalibreSheet SHEET = BenchHand.demoSheet("cv-12");

    static Stream<Step> kinds() {
        return StepJsonTest.everyKind().filter(Step::canBeTakenBack);
    }

    private static Step off(Part part) {
        return new PartOff(
                part.code(), Grade.WORN, ScrewsFound.of(ScrewsFound.State.MISSING, 1), PartOff.Plan.REPLACE, "", "");
    }

    /** A service once closed as far as it was opened, opened again and some way down: of everything there is something. */
    private static List<Step> someWayIntoTheSecondRound() {
        List<Part> down = job(List.of()).wayDown().remaining().subList(0, 14);
        List<Step> steps = new ArrayList<>(List.of(new WorkAgreed(WorkAgreed.Work.SERVICE, "")));
        down.forEach(part -> steps.add(off(part)));
        steps.add(new Washed(List.of(down.get(8).code(), down.get(9).code()), Wash.MACHINE, ""));
        for (int i = down.size() - 1; i >= 0; i--) {
            steps.add(new PartOn(down.get(i).code(), "", ""));
        }
        steps.add(new OpenedAgain(OpenedAgain.Reason.STOPS, "", ""));
        down.subList(0, 9).forEach(part -> steps.add(off(part)));
        return steps;
    }

    private static Job job(List<Step> steps) {
        List<RecordedStep> recorded = new ArrayList<>();
        steps.forEach(s -> recorded.add(new RecordedStep(recorded.size() + 1, Instant.EPOCH, s)));
        return Job.of(JobHistory.of(recorded), SHEET, Schools.DEFAULT);
    }

    private static Map<String, Object> everyState(Job job) {
        Map<String, Object> states = new LinkedHashMap<>();
        states.put("stage", job.stage());
        states.put("next act", job.nextAct());
        states.put("movement", job.movement());
        states.put("schools", job.schools());
        states.put("rounds", job.lives().rounds());
        states.put("off", job.teardown().order());
        states.put("way down", job.wayDown().remaining());
        states.put("way up", job.wayUp().lines());
        states.put("accounts", job.accounts());
        states.put("findings", job.findings().all());
        states.put("lost", job.searches().lost());
        states.put("to look at", job.cleaning().toLookAt());
        states.put("eased", job.lives().eased());
        states.put("screws to come", job.lives().screwsToCome());
        states.put("left out", job.lives().leftOut());
        states.put("visiting", job.lives().visiting());
        states.put("side up", job.lives().sideUp());
        states.put("readings", job.readings().stream().map(s -> s.key()).toList());
        states.put("interventions", job.interventions());
        states.put("clock", job.nextReading());
        return states;
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void takenBackItIsAsIfItHadNotBeen(Step step) {
        List<Step> steps = someWayIntoTheSecondRound();
        Map<String, Object> before = everyState(job(steps));

        steps.add(step);
        steps.add(new TakenBack(steps.size()));

        assertThat(everyState(job(steps))).isEqualTo(before);
    }

    /** Whatever may be taken back, there is a room in which it is. */
    @ParameterizedTest
    @MethodSource("kinds")
    void thereIsARoomToTakeItBackIn(Step step) {
        assertThat(StepRegister.kindOf(step).rooms())
                .isNotEmpty()
                .allMatch(room -> Rooms.called(room).isPresent());
    }

    /** And done again, it is as if it had never been taken back. */
    @ParameterizedTest
    @MethodSource("kinds")
    void doneAgainItIsAsItWas(Step step) {
        List<Step> steps = someWayIntoTheSecondRound();
        steps.add(step);
        Map<String, Object> after = everyState(job(steps));

        steps.add(new TakenBack(steps.size()));
        steps.add(new TakenBack(steps.size()));

        assertThat(everyState(job(steps))).isEqualTo(after);
    }
}
