package escrel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.TestMade;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.Shape;
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
import escrel.core.service.ScrewsToCome;
import escrel.core.service.Step;
import escrel.core.service.Tightened;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.Demagnetised;
import escrel.web.testing.BenchHand;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
            case SCREWS -> new Tightened(line.code());
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
            case SCREWS -> overScrews(sheet, line.code());
        };
    }

    /** What the drawing shows over a screw of a part, of all that is stated to lie on it, on its side. */
    private static List<String> overScrews(CalibreSheet sheet, String part) {
        Set<String> above = new LinkedHashSet<>();
        List<String> open = new ArrayList<>(List.of(part));
        while (!open.isEmpty()) {
            String under = open.remove(0);
            sheet.holds().stream()
                    .filter(h -> h.part().equals(under) && h.basis() == Hold.Basis.STATED && above.add(h.by()))
                    .forEach(h -> open.add(h.by()));
        }
        return above.stream()
                .filter(a ->
                        sheet.requirePart(a).side() == sheet.requirePart(part).side())
                .filter(a -> drawn(sheet.requirePart(a))
                        .filter(d -> sheet.screws().stream()
                                .anyMatch(s -> s.part().equals(part) && d.contains(s.x(), s.y())))
                        .isPresent())
                .toList();
    }

    private static Optional<Area> drawn(Part part) {
        Shape shape = part.shape();
        if (shape == null || shape.kind() == Shape.Kind.LINE || shape.kind() == Shape.Kind.PIN) {
            return Optional.empty();
        }
        if (!shape.isRound()) {
            Path2D outline = new Path2D.Double();
            for (double[] corner : shape.points()) {
                if (outline.getCurrentPoint() == null) {
                    outline.moveTo(corner[0], corner[1]);
                } else {
                    outline.lineTo(corner[0], corner[1]);
                }
            }
            outline.closePath();
            return Optional.of(new Area(outline));
        }
        Area disc = disc(shape, shape.radius());
        if (shape.kind() == Shape.Kind.RING) {
            disc.subtract(disc(shape, 0.8 * shape.radius()));
        }
        return Optional.of(disc);
    }

    private static Area disc(Shape shape, double radius) {
        return new Area(new Ellipse2D.Double(shape.x() - radius, shape.y() - radius, 2 * radius, 2 * radius));
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

    /** A screw that is not in yet is asked for by what the drawing shows over it, by the first running, and at hand-over. */
    @ParameterizedTest
    @ValueSource(strings = {"cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8", "m-7h"})
    void screwLeftOutIsCaughtByWhatWouldCoverIt(String calibre) {
        CalibreSheet sheet = BenchHand.demoSheet(calibre);
        apart(sheet);
        List<AssemblyPlan.Line> up = job(sheet).wayUp().lines();
        int tried = 0;
        int covered = 0;
        List<String> missed = new ArrayList<>();
        for (AssemblyPlan.Line on : up) {
            int screws = on.kind() == AssemblyPlan.Kind.PART
                    ? job(sheet).screws().of(on.code()).toDrive()
                    : 0;
            if (screws == 0) {
                continue;
            }
            tried++;
            List<RecordedStep> before = List.copyOf(steps);
            record(PartOn.plain(on.code()));
            record(new ScrewsToCome(on.code(), 1));
            AssemblyPlan plan = job(sheet).wayUp();
            AssemblyPlan.Line left =
                    plan.find(AssemblyPlan.Kind.SCREWS, on.code()).orElseThrow();
            List<AssemblyPlan.Line> asking = new ArrayList<>();
            covers(sheet, left)
                    .forEach(c -> plan.find(AssemblyPlan.Kind.PART, c).ifPresent(asking::add));
            covered += asking.size();
            if (sheet.requirePart(on.code()).group().stopsTheMovement()) {
                plan.lines().stream()
                        .filter(l -> l.kind() == AssemblyPlan.Kind.TEST
                                && sheet.test(l.code()).orElseThrow().proof() == AssemblyTest.Proof.READING)
                        .forEach(asking::add);
            }
            for (AssemblyPlan.Line cover : asking) {
                if (plan.brokenBy(cover).stream()
                        .noneMatch(c -> c.wantsReason() && c.first().equals(left.node()))) {
                    missed.add("screw of " + on.code() + " under " + cover.code());
                }
            }
            Job now = job(sheet);
            assertThat(now.screws().tally(now.history().ruleBook()).open())
                    .anyMatch(i -> i.part().equals(on.code()));
            steps.clear();
            steps.addAll(before);
        }
        assertThat(missed).isEmpty();
        assertThat(tried).isGreaterThan(8);
        assertThat(covered).isGreaterThan(2);
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
