package escrel.web.demo;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.TestMade;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.Washed;
import escrel.core.condition.Grade;
import escrel.core.job.Job;
import escrel.core.lubrication.Oiled;
import escrel.core.order.Node;
import escrel.core.parts.Judged;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.Tightened;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.watchcase.CaseBound;
import escrel.core.watchcase.CaseSheet;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** Tells a job step by step with a clock of its own, in the order the app itself would propose. */
final class Story {
    private final CalibreSheet sheet;
    private final List<RecordedStep> steps = new ArrayList<>();
    private final Random pace;
    private @Nullable CaseSheet watchcase;
    private @Nullable Job last;
    private Instant now;

    Story(CalibreSheet sheet, Instant begin) {
        this(sheet, begin, 1);
    }

    /** A story with a pace of its own: nobody takes the same time twice. */
    Story(CalibreSheet sheet, Instant begin, long pace) {
        this.sheet = sheet;
        this.now = begin;
        this.pace = new Random(pace);
    }

    /** Key of the finding that a part raised as it came off last. */
    String keyOf(String part) {
        return steps.stream()
                .filter(s -> s.step() instanceof PartOff off && off.part().equals(part))
                .map(s -> String.valueOf(s.sequence()))
                .reduce((first, last) -> last)
                .orElseThrow();
    }

    List<RecordedStep> steps() {
        return List.copyOf(steps);
    }

    /** The watch is in this case, the first version of its sheet. */
    Story in(CaseSheet sheetOfCase) {
        watchcase = sheetOfCase;
        return then(new CaseBound(sheetOfCase.id(), 1));
    }

    /** Records a step and lets some time pass. */
    Story then(Step step) {
        steps.add(new RecordedStep(steps.size() + 1, now, step));
        now = now.plus(Duration.ofMinutes(2));
        return this;
    }

    Story later(Duration time) {
        now = now.plus(time);
        return this;
    }

    /** Goes on at an instant, which must not lie before what was told. */
    Story until(Instant instant) {
        if (instant.isBefore(now)) {
            throw new IllegalArgumentException("the story is at " + now + " already, later than " + instant);
        }
        now = instant;
        return this;
    }

    /** Sequence of the step recorded last: the key of the finding it raised. */
    String lastKey() {
        return String.valueOf(steps.size());
    }

    /** Takes everything off as proposed; some parts with more to say than "good". */
    Story strip(Map<String, PartOff> eventful) {
        return stripUntil("", eventful);
    }

    /** Takes off as proposed what comes before a part. */
    Story stripUntil(String stop, Map<String, PartOff> eventful) {
        for (Part part : job().wayDown().remaining()) {
            if (part.code().equals(stop)) {
                break;
            }
            // 0.7 to 1.5 times what the sheet says, and never quicker than it can be written down
            later(Duration.ofSeconds(10 + Math.round(60 * part.minutes() * (0.7 + 0.8 * pace.nextDouble()))));
            steps.add(new RecordedStep(
                    steps.size() + 1, now, eventful.getOrDefault(part.code(), PartOff.plain(part.code()))));
            now = now.plusSeconds(1);
        }
        return this;
    }

    /** The job as told so far. */
    Job job() {
        JobHistory told = last == null ? JobHistory.empty() : last.recorded();
        JobHistory all = told.and(steps.subList(told.lastSequence(), steps.size()));
        Job now = Job.of(all, bound(), watchcase, Schools.DEFAULT, last);
        last = now;
        return now;
    }

    /** Cleans everything, each part the way its sheet asks for, and looks at it. */
    Story wash() {
        for (Wash way : Wash.values()) {
            List<String> due =
                    job().cleaning().due(way).stream().map(Part::code).toList();
            if (!due.isEmpty()) {
                then(new Washed(due, way, ""));
            }
        }
        List<String> look = job().cleaning().toLookAt().stream().map(Part::code).toList();
        return look.isEmpty() || !JobHistory.of(steps).ruleBook().asksForAll()
                ? this
                : then(new Judged(look, Grade.GOOD));
    }

    private @Nullable CalibreSheet bound() {
        return sheet.isLearntHere() ? null : sheet;
    }

    /** Climbs the whole way as proposed; nothing asks for a reading. */
    Story climbAll() {
        return climb(code -> true, Story::noReading);
    }

    /** For stories in which no line asks for a reading. */
    static void noReading(Story story) {
        throw new IllegalStateException("a reading is asked for: say what it shows");
    }

    /**
     * Climbs as proposed, doing only what may be done at the moment and is wanted.
     *
     * @param timed takes the readings when a line asks for them
     */
    Story climb(Predicate<String> wanted, Consumer<Story> timed) {
        int before;
        do {
            before = steps.size();
            climbOnce(job().wayUp(), wanted, timed);
        } while (steps.size() > before);
        return this;
    }

    /** The lines of one plan in their order; a reading can change what comes after it, so that it ends there. */
    private void climbOnce(AssemblyPlan plan, Predicate<String> wanted, Consumer<Story> timed) {
        Set<Node> done = new HashSet<>();
        for (AssemblyPlan.Line line : plan.lines()) {
            boolean free = plan.brokenBy(line).stream().allMatch(rule -> done.contains(rule.first()));
            if (!free || !wanted.test(line.code())) {
                continue;
            }
            if (proof(line) == AssemblyTest.Proof.READING) {
                timed.accept(this);
                return;
            }
            then(done(line));
            done.add(line.node());
        }
    }

    private AssemblyTest.Proof proof(AssemblyPlan.Line line) {
        return line.kind() == AssemblyPlan.Kind.TEST
                ? job().movement().test(line.code()).map(AssemblyTest::proof).orElse(AssemblyTest.Proof.SEEN)
                : AssemblyTest.Proof.SEEN;
    }

    private Step done(AssemblyPlan.Line line) {
        return switch (line.kind()) {
            case PART -> PartOn.plain(line.code());
            case SCREWS -> new Tightened(line.code());
            case TEST ->
                proof(line) == AssemblyTest.Proof.DEMAGNETISED
                        ? new Demagnetised(3, "after assembly")
                        : new TestMade(line.code(), TestMade.Outcome.PASSED, "");
            case OIL ->
                new Oiled(
                        line.code(),
                        job().movement()
                                .oilPoint(line.code())
                                .map(OilPoint::lubricant)
                                .orElseThrow(),
                        "");
        };
    }
}
