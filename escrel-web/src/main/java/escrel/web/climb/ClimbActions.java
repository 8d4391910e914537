package escrel.web.climb;

import escrel.core.MendableException;
import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.TestMade;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.learning.DraftChart;
import escrel.core.learning.OilPointSaid;
import escrel.core.learning.Vocabulary;
import escrel.core.lubrication.BottleKept;
import escrel.core.lubrication.OilSkipped;
import escrel.core.lubrication.Oiled;
import escrel.core.order.Constraint;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Finding;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOn;
import escrel.core.service.SchoolSetAside;
import escrel.core.service.ScrewsToCome;
import escrel.core.service.Step;
import escrel.core.service.Tightened;
import escrel.core.teardown.Caution;
import escrel.core.timing.readings.Demagnetised;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.WorkshopLogs;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the climb records, and when it wants a reason first. */
@Component
class ClimbActions {
    /** What came of pressing the key. */
    enum Outcome {
        RECORDED,
        /** A question stands before the part. */
        ASKED,
        /** A habit speaks against it: going on is the same key again. */
        REMARKED,
        /** It would close over something, and no reason was given. */
        REASON_WANTED
    }

    /** Slow, even passes through the demagnetiser. Source: craft 2.3. */
    private static final int PASSES = 3;

    private final Workshop workshop;
    private final WorkshopLogs log;

    ClimbActions(Workshop workshop, WorkshopLogs log) {
        this.log = log;
        this.workshop = workshop;
    }

    /** Does a line: part on, point oiled, test passed. */
    @Transactional
    public Outcome done(int number, ClimbForm form) {
        OpenJob job = workshop.load(number);
        AssemblyPlan.Line line = open(job, form);
        List<Constraint> broken = job.job().wayUp().brokenBy(line);
        if (broken.stream().anyMatch(Constraint::wantsReason) && form.reason().isEmpty()) {
            return Outcome.REASON_WANTED;
        }
        if (broken.stream().anyMatch(Constraint::isSchool)
                && !form.isAnswered()
                && form.reason().isEmpty()) {
            return Outcome.REMARKED;
        }
        if (asks(job, form) && !form.isAnswered()) {
            return Outcome.ASKED;
        }
        List<Step> steps = new ArrayList<>();
        if (form.isForThisJob()) {
            Constraint.schools(broken).forEach(school -> steps.add(new SchoolSetAside(school)));
        }
        steps.addAll(steps(job, form));
        workshop.append(number, form.seq(), steps);
        return Outcome.RECORDED;
    }

    private static boolean asks(OpenJob job, ClimbForm form) {
        return job.movement().part(form.code()).stream()
                .flatMap(part -> Asked.before(job.job(), form.line(), part).stream())
                .anyMatch(c -> c.kind() == Caution.Kind.ASKS);
    }

    private static AssemblyPlan.Line open(OpenJob job, ClimbForm form) {
        job.requireSequence(form.seq());
        job.requireSheet();
        return job.job()
                .wayUp()
                .find(form.line(), form.code())
                .orElseThrow(() -> new MendableException(
                        "“" + form.code() + "” is not open on the way up",
                        "What was recorded of it stays.",
                        "Reload the page and choose a line from the list."));
    }

    private List<Step> steps(OpenJob job, ClimbForm form) {
        return switch (form.line()) {
            case PART -> on(job, form);
            case SCREWS -> List.of(new Tightened(form.code()));
            case OIL -> List.of(oiled(form.code(), lubricant(job, form), form.text()));
            case TEST -> List.of(tested(job, form));
        };
    }

    /** A part on which another copy was decided goes on as that copy: it is at hand now, if nobody said so before. */
    private static List<Step> on(OpenJob job, ClimbForm form) {
        List<Step> on = new ArrayList<>(List.of(new PartOn(form.code(), form.text(), form.reason())));
        int toCome = form.screwsToCome();
        if (toCome != 0) {
            int holes = job.job().screws().of(form.code()).toDrive();
            if (toCome < 0 || toCome > holes) {
                throw new MendableException(
                        "It has " + holes + " screws to be driven, not " + toCome,
                        "Nothing was recorded.",
                        "Say how many of them are still to come.");
            }
            on.add(new ScrewsToCome(form.code(), toCome));
        }
        Optional<Finding> waiting = job.job().findings().on(form.code()).stream()
                .filter(f -> f.replaces() && !f.isWithinPart() && !f.isSettled() && !f.lacksSource())
                .filter(f -> job.job().copies().of(form.code()).stream().noneMatch(c -> c.since() > f.raisedAt()))
                .reduce((a, b) -> b);
        waiting.ifPresent(f -> on.add(0, CopyAtHand.decided(form.code(), f)));
        return on;
    }

    private static Step tested(OpenJob job, ClimbForm form) {
        AssemblyTest.Proof proof =
                job.movement().test(form.code()).map(AssemblyTest::proof).orElse(AssemblyTest.Proof.SEEN);
        return switch (proof) {
            case READING ->
                throw new MendableException(
                        "A reading settles this line, no key does",
                        "Nothing was recorded.",
                        "Take the readings at the desk or type them, or pass the line over with a reason.");
            case DEMAGNETISED -> new Demagnetised(PASSES, form.text());
            default -> new TestMade(form.code(), TestMade.Outcome.PASSED, form.text());
        };
    }

    /** The class that was chosen, or the sheet's. */
    private static LubricantClass lubricant(OpenJob job, ClimbForm form) {
        return form.lubricant() != null
                ? form.lubricant()
                : job.requireSheet()
                        .oilPoint(form.code())
                        .map(OilPoint::lubricant)
                        .orElseThrow();
    }

    /** From the bottle of its class that is in use. */
    private Oiled oiled(String point, LubricantClass lubricant, String note) {
        String bottle =
                log.load().bottles().inUse(lubricant).map(BottleKept::said).orElse(null);
        return new Oiled(point, lubricant, note, bottle);
    }

    /** Adds a lubrication point in the act of oiling it: it is done now, and stays. */
    @Transactional
    public String oilPoint(int number, int seq, String code, LubricantClass lubricant) {
        OpenJob job = workshop.load(number);
        Part part = job.movement()
                .part(code)
                .orElseThrow(() -> new MendableException(
                        "The movement has no part “" + code + "”", "Nothing was recorded.", "Reload the page."));
        Set<String> taken =
                job.movement().oilPoints().stream().map(OilPoint::code).collect(Collectors.toSet());
        String point = Vocabulary.codeFor("o " + part.code(), taken);
        workshop.append(
                number,
                seq,
                List.of(
                        new OilPointSaid(point, part.code(), part.name(), lubricant, lubricant.usualAmount()),
                        oiled(point, lubricant, "")));
        return part.name() + " lubricated: the point stays";
    }

    /**
     * Takes points of the drafted chart over.
     *
     * @param take which of them, counted from 0 as they are shown
     */
    @Transactional
    public void draft(int number, int seq, List<Integer> take) {
        OpenJob job = workshop.load(number);
        List<DraftChart.Drafted> drafted = OilChart.drafted(job.movement());
        Set<String> taken =
                job.movement().oilPoints().stream().map(OilPoint::code).collect(Collectors.toSet());
        List<Step> steps = new ArrayList<>();
        for (int i : take.stream().distinct().sorted().toList()) {
            if (i < 0 || i >= drafted.size()) {
                throw new MendableException(
                        "The draft has changed since", "Nothing was recorded.", "Look at it as it is now.");
            }
            DraftChart.Drafted point = drafted.get(i);
            String code = Vocabulary.codeFor("o " + point.part().code(), taken);
            taken.add(code);
            steps.add(new OilPointSaid(code, point.part().code(), point.name(), point.lubricant(), point.amount()));
        }
        if (steps.isEmpty()) {
            throw new MendableException("No point was ticked", "Nothing was recorded.", "Tick what is to be kept.");
        }
        workshop.append(number, seq, steps);
    }

    /** Leaves a point or test out on purpose, with a reason; a part is left out on the inspection page. */
    @Transactional
    public void passOver(int number, ClimbForm form) {
        open(workshop.load(number), form);
        if (form.text().isEmpty()) {
            throw new MendableException(
                    "Passing something over needs a reason",
                    "Nothing was recorded.",
                    "Write the reason into the note (key +), then press the key again.");
        }
        Step step = switch (form.line()) {
            case OIL -> new OilSkipped(form.code(), form.text());
            case TEST -> new TestMade(form.code(), TestMade.Outcome.PASSED_OVER, form.text());
            case SCREWS ->
                throw new MendableException(
                        "A screw is not passed over on the climb",
                        "Nothing was recorded.",
                        "Drive it; one that is not to be had is let go at the hand-over, with its reason.");
            case PART ->
                throw new MendableException(
                        "A part is not passed over on the climb",
                        "Nothing was recorded.",
                        "Leave its home empty on the inspection page, with the reason.");
        };
        workshop.append(number, form.seq(), step);
    }

    /** Opens the movement again as far as what went on over an open line. */
    @Transactional
    public void openFor(int number, int seq, String under, String line) {
        AssemblyPlan.Forgotten forgotten = workshop.load(number).job().wayUp().forgotten().stream()
                .filter(f -> f.under().code().equals(under) && f.line().code().equals(line))
                .findFirst()
                .orElseThrow(() -> new MendableException(
                        "Nothing is forgotten under it", "Nothing was recorded.", "Look at the climb as it is now."));
        workshop.append(
                number,
                seq,
                new OpenedAgain(
                        OpenedAgain.Reason.FORGOTTEN, under, forgotten.line().name()));
    }

    /** Records a test that failed: it stays open. */
    @Transactional
    public void failed(int number, ClimbForm form) {
        open(workshop.load(number), form);
        workshop.append(number, form.seq(), new TestMade(form.code(), TestMade.Outcome.FAILED, form.text()));
    }
}
