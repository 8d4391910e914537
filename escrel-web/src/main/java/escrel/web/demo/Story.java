package escrel.web.demo;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.TestMade;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.CleaningState;
import escrel.core.cleaning.Washed;
import escrel.core.lubrication.Oiled;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.teardown.PartOff;
import escrel.core.teardown.PartOn;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Predicate;

/** Tells a job step by step with a clock of its own, in the order the app itself would propose. */
final class Story {
    private final CalibreSheet sheet;
    private final List<RecordedStep> steps = new ArrayList<>();
    private final Random pace;
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

    /** Key of the finding that a part raised as it came off. */
    String keyOf(String part) {
        return steps.stream()
                .filter(s -> s.step() instanceof PartOff off && off.part().equals(part))
                .map(s -> String.valueOf(s.sequence()))
                .findFirst()
                .orElseThrow();
    }

    List<RecordedStep> steps() {
        return List.copyOf(steps);
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
        for (Part part : TeardownOrder.from(state(), Schools.DEFAULT).remaining()) {
            if (part.code().equals(stop)) {
                break;
            }
            // 0.7 to 1.5 times what the sheet says, and never quicker than it can be written down
            later(Duration.ofSeconds(10 + Math.round(60 * part.minutes() * (0.7 + 0.8 * pace.nextDouble()))));
            steps.add(new RecordedStep(
                    steps.size() + 1, now, eventful.getOrDefault(part.code(), PartOff.plain(part.code()))));
        }
        return this;
    }

    private TeardownState state() {
        return TeardownState.of(sheet, JobHistory.of(steps));
    }

    /** Cleans everything, each part the way its sheet asks for. */
    Story wash() {
        for (Wash way : Wash.values()) {
            List<String> due = CleaningState.of(state(), JobHistory.of(steps)).due(way).stream()
                    .map(Part::code)
                    .toList();
            if (!due.isEmpty()) {
                then(new Washed(due, way, ""));
            }
        }
        return this;
    }

    /** Climbs the whole way as proposed. */
    Story climbAll() {
        AssemblyPlan.from(state(), JobHistory.of(steps)).lines().forEach(line -> then(done(line)));
        return this;
    }

    /** Climbs as proposed, doing only what may be done at the moment and is wanted. */
    Story climb(Predicate<String> wanted) {
        boolean moved = true;
        while (moved) {
            Optional<AssemblyPlan.Line> next = AssemblyPlan.from(state(), JobHistory.of(steps)).freeNow().stream()
                    .filter(l -> wanted.test(l.code()))
                    .findFirst();
            next.ifPresent(line -> then(done(line)));
            moved = next.isPresent();
        }
        return this;
    }

    private Step done(AssemblyPlan.Line line) {
        return switch (line.kind()) {
            case PART -> PartOn.plain(line.code());
            case TEST -> new TestMade(line.code(), TestMade.Outcome.PASSED, "");
            case OIL ->
                new Oiled(
                        line.code(),
                        sheet.oilPoints().stream()
                                .filter(p -> p.code().equals(line.code()))
                                .map(OilPoint::lubricant)
                                .findFirst()
                                .orElseThrow(),
                        "");
        };
    }
}
