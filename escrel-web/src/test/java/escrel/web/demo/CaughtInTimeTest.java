package escrel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.TestMade;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.cleaning.Washed;
import escrel.core.job.Job;
import escrel.core.lubrication.Oiled;
import escrel.core.order.Constraint;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.RuleBook;
import escrel.core.service.Step;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.Demagnetised;
import escrel.web.testing.BenchHand;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Whatever is left out on the way up is caught no later than by the step that would cover it: an oil point or a test by the part
 * its window ends with, a part by the one that lies upon it, a rinse by the part itself. Over every line of every demo calibre.
 */
class CaughtInTimeTest {
    private final List<RecordedStep> steps = new ArrayList<>();

    private void record(Step step) {
        steps.add(new RecordedStep(steps.size() + 1, Instant.EPOCH.plusSeconds(steps.size()), step));
    }

    private Job job(CalibreSheet sheet) {
        return Job.of(JobHistory.of(steps), sheet, Schools.DEFAULT);
    }

    private void apart(CalibreSheet sheet) {
        record(new WorkAgreed(WorkAgreed.Work.SERVICE, ""));
        for (Part part : job(sheet).wayDown().remaining()) {
            record(PartOff.plain(part.code()));
        }
    }

    private static Step done(CalibreSheet sheet, AssemblyPlan.Line line) {
        return switch (line.kind()) {
            case PART -> PartOn.plain(line.code());
            case OIL ->
                new Oiled(line.code(), sheet.oilPoint(line.code()).orElseThrow().lubricant(), "");
            case TEST ->
                sheet.test(line.code()).orElseThrow().proof() == AssemblyTest.Proof.DEMAGNETISED
                        ? new Demagnetised(3, "")
                        : new TestMade(line.code(), TestMade.Outcome.PASSED_OVER, "not in this test");
        };
    }

    /** What would cover a line: the end of its window, or what holds the part down. */
    private static List<String> covers(CalibreSheet sheet, AssemblyPlan.Line line) {
        return switch (line.kind()) {
            case OIL ->
                sheet.oilPoint(line.code()).map(OilPoint::before).stream().toList();
            case TEST ->
                sheet.test(line.code()).map(AssemblyTest::before).stream().toList();
            case PART ->
                sheet.holds().stream()
                        .filter(h -> h.part().equals(line.code()))
                        .map(Hold::by)
                        .toList();
        };
    }

    @ParameterizedTest
    @ValueSource(strings = {"cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8", "m-7h"})
    void whatIsLeftOutIsCaughtByWhatWouldCoverIt(String calibre) {
        CalibreSheet sheet = BenchHand.demoSheet(calibre);
        apart(sheet);
        int caught = 0;
        List<String> missed = new ArrayList<>();
        List<AssemblyPlan.Line> all = job(sheet).wayUp().lines();
        for (AssemblyPlan.Line left : all) {
            List<String> covers = covers(sheet, left);
            if (covers.isEmpty()) {
                continue;
            }
            AssemblyPlan plan = job(sheet).wayUp();
            for (String cover : covers) {
                Optional<AssemblyPlan.Line> by = plan.find(AssemblyPlan.Kind.PART, cover);
                if (by.isEmpty()) {
                    continue;
                }
                // everything else that stands before it is done: what is broken then is the line left out
                boolean speaks = plan.brokenBy(by.get()).stream()
                        .filter(Constraint::wantsReason)
                        .anyMatch(c -> c.first().equals(left.node()));
                if (speaks) {
                    caught++;
                } else {
                    missed.add(left.code() + " under " + cover);
                }
            }
        }
        assertThat(missed).isEmpty();
        assertThat(caught).isGreaterThan(40);
    }

    /** Rinse and look are asked for as the part itself goes on, for every part that owes them. */
    @ParameterizedTest
    @ValueSource(strings = {"cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8", "m-7h"})
    void rinseLeftOutIsCaughtByThePartItself(String calibre) {
        CalibreSheet sheet = BenchHand.demoSheet(calibre);
        apart(sheet);
        List<Part> due = job(sheet).cleaning().due();
        assertThat(due).hasSizeGreaterThan(20);
        for (Part left : due) {
            assertThat(job(sheet).cleaning().owedBeforeOn(left.code()))
                    .as(left.code())
                    .isPresent();
        }
        Part one = due.get(0);
        for (Part part : due) {
            if (!part.code().equals(one.code())) {
                record(new Washed(List.of(part.code()), part.wash(), ""));
            }
        }
        assertThat(job(sheet).cleaning().owedBeforeOn(one.code()).orElseThrow()).contains("not rinsed");
        assertThat(job(sheet).cleaning().owedBeforeOn(due.get(1).code()).orElseThrow())
                .contains("not looked at");
        assertThat(JobHistory.of(steps).ruleBook()).isNotEqualTo(RuleBook.FIRST);
    }

    /** Left out all the same, the line is still open, and says so until it is done. */
    @ParameterizedTest
    @ValueSource(strings = {"cv-12", "cv-28"})
    void whatWasCoveredAllTheSameStaysOpen(String calibre) {
        CalibreSheet sheet = BenchHand.demoSheet(calibre);
        apart(sheet);
        AssemblyPlan.Line oil = job(sheet).wayUp().lines().stream()
                .filter(l ->
                        l.kind() == AssemblyPlan.Kind.OIL && !covers(sheet, l).isEmpty())
                .findFirst()
                .orElseThrow();
        for (AssemblyPlan.Line line : job(sheet).wayUp().lines()) {
            if (!line.code().equals(oil.code())) {
                record(done(sheet, line));
            }
        }
        assertThat(job(sheet).wayUp().lines())
                .extracting(AssemblyPlan.Line::code)
                .containsExactly(oil.code());
        assertThat(job(sheet).mayLeave()).isFalse();
    }
}
