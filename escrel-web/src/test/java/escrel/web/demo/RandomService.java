package escrel.web.demo;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.TestMade;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.Washed;
import escrel.core.condition.Grade;
import escrel.core.job.Job;
import escrel.core.lubrication.Oiled;
import escrel.core.order.Node;
import escrel.core.order.Rules;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.Looked;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.ScrewsFound;
import escrel.core.service.ScrewsToCome;
import escrel.core.service.Step;
import escrel.core.service.Tightened;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;

/** A service of one to three rounds in which every order is random and no rule is broken. */
final class RandomService {
    private final CalibreSheet sheet;
    private final Random random;
    private final Schools schools;
    private final List<RecordedStep> steps = new ArrayList<>();

    RandomService(CalibreSheet sheet, long seed) {
        this(sheet, seed, Schools.DEFAULT);
    }

    RandomService(CalibreSheet sheet, long seed, Schools schools) {
        this.schools = schools;
        this.sheet = sheet;
        this.random = new Random(seed);
        record(new WorkAgreed(WorkAgreed.Work.SERVICE, ""));
    }

    private int record(Step step) {
        steps.add(new RecordedStep(steps.size() + 1, Instant.EPOCH.plusSeconds(steps.size()), step));
        return steps.size();
    }

    JobHistory history() {
        return JobHistory.of(steps);
    }

    Job job() {
        return Job.of(history(), sheet, schools);
    }

    /** One of the homes, for a way in. */
    String anyHome() {
        List<Part> homes = job().movement().homes();
        return homes.get(random.nextInt(homes.size())).code();
    }

    /** Opens the movement, whole or by a way in, one part perhaps broken. */
    RandomService open(String target) {
        if (steps.size() > 1 || !target.isEmpty()) {
            record(new OpenedAgain(OpenedAgain.Reason.POOR_AMPLITUDE, target, ""));
        }
        Job before = job();
        Set<String> wanted =
                before.wayDown().remaining().stream().map(Part::code).collect(Collectors.toSet());
        Rules rules = before.down();
        Set<String> off = new HashSet<>();
        String broken = wanted.stream()
                .sorted()
                .skip(random.nextInt(wanted.size()))
                .findFirst()
                .orElseThrow();
        while (!wanted.isEmpty()) {
            List<String> free = wanted.stream()
                    .filter(c -> rules.before(Node.part(c)).stream()
                            .filter(r ->
                                    r.wantsReason() || wanted.contains(r.first().code()))
                            .allMatch(r -> off.contains(r.first().code())
                                    || before.teardown().isOff(r.first().code())))
                    .sorted()
                    .toList();
            String next = free.get(random.nextInt(free.size()));
            boolean breaks =
                    next.equals(broken) && !before.movement().requirePart(next).isPowerDown();
            int at = record(new PartOff(
                    next, breaks ? Grade.BROKEN : Grade.GOOD, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "", ""));
            if (breaks) {
                record(new Decided(String.valueOf(at), Decision.REPLACE_NEW, "", "Stennay material store"));
                record(new CopyAtHand(next, CopyAtHand.Origin.NEW, "Stennay material store", ""));
            }
            wanted.remove(next);
            off.add(next);
        }
        return this;
    }

    RandomService clean() {
        for (Wash way : Wash.values()) {
            List<String> due =
                    job().cleaning().due(way).stream().map(Part::code).toList();
            if (!due.isEmpty()) {
                record(new Washed(due, way, ""));
            }
        }
        List<String> look = job().cleaning().toLookAt().stream().map(Part::code).toList();
        if (!look.isEmpty()) {
            record(new Looked(look));
        }
        return this;
    }

    /** Everything that is open on the way up, in a random order that closes over nothing. */
    RandomService close() {
        Job before = job();
        List<AssemblyPlan.Line> open = new ArrayList<>(before.wayUp().lines());
        Rules rules = before.up();
        while (!open.isEmpty()) {
            Set<Node> waiting = open.stream().map(AssemblyPlan.Line::node).collect(Collectors.toSet());
            List<AssemblyPlan.Line> free = open.stream()
                    .filter(l -> rules.before(l.node()).stream().noneMatch(r -> waiting.contains(r.first())))
                    .toList();
            AssemblyPlan.Line next = free.get(random.nextInt(free.size()));
            record(done(next));
            open.remove(next);
        }
        return this;
    }

    /**
     * Closes as the plan proposes, line by line.
     *
     * @param seen each line as it is proposed, with the plan it is proposed by
     */
    RandomService closeAsProposed(BiConsumer<AssemblyPlan, AssemblyPlan.Line> seen) {
        for (AssemblyPlan plan = job().wayUp(); !plan.lines().isEmpty(); plan = job().wayUp()) {
            AssemblyPlan.Line next = plan.lines().get(0);
            seen.accept(plan, next);
            int screws = next.kind() == AssemblyPlan.Kind.PART
                    ? job().screws().of(next.code()).toDrive()
                    : 0;
            record(done(next));
            if (screws > 1 && random.nextInt(4) == 0) {
                // tried under one of its screws first
                record(new ScrewsToCome(next.code(), screws - 1));
            }
        }
        return this;
    }

    private Step done(AssemblyPlan.Line line) {
        return switch (line.kind()) {
            case PART -> PartOn.plain(line.code());
            case SCREWS -> new Tightened(line.code());
            case OIL ->
                new Oiled(
                        line.code(),
                        job().movement().oilPoint(line.code()).orElseThrow().lubricant(),
                        "");
            case TEST -> tested(job().movement().test(line.code()).orElseThrow());
        };
    }

    private Step tested(AssemblyTest test) {
        return switch (test.proof()) {
            case READING -> reading(ReadingState.FIRST_RUN, Fitted.BARE_MOVEMENT);
            case DEMAGNETISED -> new Demagnetised(3, "");
            default -> new TestMade(test.code(), TestMade.Outcome.PASSED, "");
        };
    }

    RandomService finalReading() {
        record(reading(ReadingState.FINAL_CASED, Fitted.CASED));
        return this;
    }

    private Step reading(ReadingState state, Fitted fitted) {
        return new ReadingTaken(
                state,
                fitted,
                Wound.FULL,
                new Reading(
                        Position.DIAL_UP,
                        Measured.single(4),
                        Measured.single(270),
                        Measured.single(0.4),
                        null,
                        LiftAngle.known(50),
                        BeatRate.of(18_000),
                        Source.TYPED,
                        Trace.CLEAN,
                        ""));
    }
}
