package escrel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.assembly.TestMade;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.OilPoint;
import escrel.core.cleaning.Washed;
import escrel.core.job.Job;
import escrel.core.lubrication.Oiled;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decided;
import escrel.core.parts.Looked;
import escrel.core.school.Schools;
import escrel.core.service.Episode;
import escrel.core.service.JobHistory;
import escrel.core.service.OpenItem;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.ReadingTaken;
import escrel.web.testing.BenchHand;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Craft 9 and M17 as properties: random legal services of one to three rounds on every demo calibre. */
class RoundsOnDemoCalibresTest {
    static Stream<Arguments> services() {
        return Stream.of("cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8", "m-7h")
                .flatMap(id -> Stream.of(1, 2, 3).map(rounds -> Arguments.of(id, rounds)));
    }

    private static RandomService service(String id, int rounds) {
        RandomService service = new RandomService(BenchHand.demoSheet(id), 31L * rounds + id.hashCode());
        service.open("").clean().close();
        for (int round = 2; round <= rounds; round++) {
            Job closed = service.job();
            service.open(round == 3 ? "" : service.anyHome());
            assertOnlyWhatWasLiftedIsAskedFor(closed, service.job());
            service.clean().close();
        }
        return service.finalReading();
    }

    /** What was not lifted stays settled. */
    private static void assertOnlyWhatWasLiftedIsAskedFor(Job closed, Job opened) {
        Set<String> before = new HashSet<>();
        closed.accounts().forEach(a -> a.open().forEach(i -> before.add(i.key())));
        Set<String> lifted = new HashSet<>(opened.lives().round().lifted());
        CalibreSheet sheet = opened.movement();
        List<OpenItem> fresh = new ArrayList<>();
        opened.accounts()
                .forEach(a ->
                        a.open().stream().filter(i -> !before.contains(i.key())).forEach(fresh::add));
        assertThat(fresh).isNotEmpty().allSatisfy(i -> {
            boolean routine = i.key().startsWith("test:") || i.key().startsWith("final@");
            // a point is owed again too when the bridge over it was lifted
            boolean beneath = i.key().startsWith("oil:")
                    && sheet.oilPoint(i.key().substring(4, i.key().indexOf('@')))
                            .map(OilPoint::after)
                            .filter(lifted::contains)
                            .isPresent();
            assertThat(routine || beneath || lifted.contains(i.part()))
                    .as(i.key())
                    .isTrue();
        });
        assertThat(opened.tests().open())
                .allSatisfy(t -> assertThat(t.proof() == AssemblyTest.Proof.READING
                                || t.proof() == AssemblyTest.Proof.DEMAGNETISED
                                || lifted.contains(t.after()))
                        .as(t.code())
                        .isTrue());
    }

    @ParameterizedTest
    @MethodSource("services")
    void afterTheLastRoundNothingIsOpen(String id, int rounds) {
        Job job = service(id, rounds).job();

        assertThat(job.lives().rounds()).hasSize(rounds);
        assertThat(job.accounts())
                .allSatisfy(a -> assertThat(a.open()).as(a.kind().name()).isEmpty());
        assertThat(job.wayUp().lines()).isEmpty();
        assertThat(job.mayLeave()).isTrue();
    }

    @ParameterizedTest
    @MethodSource("services")
    void leavingOutAnySingleActKeepsTheWatchHere(String id, int rounds) {
        RandomService service = service(id, rounds);
        Job whole = service.job();
        List<RecordedStep> acts = service.history().counting().stream()
                .filter(e -> counts(whole, e))
                .toList();
        assertThat(acts).hasSizeGreaterThan(50);
        for (RecordedStep act : acts) {
            JobHistory without = service.history()
                    .with(new RecordedStep(
                            service.history().lastSequence() + 1, Instant.EPOCH, new TakenBack(act.sequence())));
            assertThat(Job.of(without, whole.movement(), Schools.DEFAULT).mayLeave())
                    .as("%s without %s", id, act)
                    .isFalse();
        }
    }

    /** Acts that nothing later did over again: a part lifted again owes anew what was done to it before. */
    private static boolean counts(Job job, RecordedStep entry) {
        Step step = entry.step();
        int at = entry.sequence();
        if (step instanceof PartOn on) {
            return job.lives().episode(on.part()).map(Episode::onAt).orElse(0) == at;
        }
        if (step instanceof Oiled oiled) {
            OilPoint point = job.movement().oilPoint(oiled.point()).orElseThrow();
            String after = point.after();
            return at > job.lives().offAt(point.part())
                    && (after == null || at > job.lives().offAt(after));
        }
        if (step instanceof TestMade test) {
            return at
                    > job.lives()
                            .offAt(job.movement()
                                    .test(test.test())
                                    .orElseThrow()
                                    .after());
        }
        if (step instanceof Looked || step instanceof Washed) {
            List<String> parts = step instanceof Looked looked ? looked.parts() : ((Washed) step).parts();
            return parts.stream().anyMatch(p -> at > job.lives().offAt(p));
        }
        if (step instanceof Demagnetised || step instanceof ReadingTaken) {
            return at > job.closedAt();
        }
        return step instanceof Decided || step instanceof CopyAtHand;
    }
}
