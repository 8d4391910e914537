package escrel.web.climb;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.AssemblyPlan.Line;
import escrel.core.assembly.SeenGauge;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.calibre.Train;
import escrel.core.job.Job;
import escrel.core.lubrication.EscapeDosing;
import escrel.core.order.Constraint;
import escrel.core.parts.Finding;
import escrel.core.parts.PartScrews;
import escrel.core.service.StepKind;
import escrel.core.teardown.Caution;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.web.job.OpenJob;
import escrel.web.job.PartStory;
import escrel.web.job.Undo;
import escrel.web.ladder.Ladder;
import escrel.web.plan.PlanDrawing;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The climb page: ladder, plan, and the card of the line at hand.
 *
 * @param card nothing when the movement is whole
 * @param coming the lines after it
 * @param visits parts in for a visit
 * @param lost parts with a search open: nothing closes over them
 * @param oilHere the part on which a lubrication point is being added; nothing while none is
 * @param forgotten what was closed over and is still open
 */
record ClimbView(
        Ladder ladder,
        PlanDrawing plan,
        Side sideUp,
        @Nullable Card card,
        List<Line> coming,
        @Nullable String up,
        @Nullable String down,
        int open,
        int turnOvers,
        List<Part> visits,
        Undo undo,
        ClimbActions.@Nullable Outcome outcome,
        @Nullable String said,
        boolean nothingOff,
        List<String> lost,
        @Nullable Part oilHere,
        List<AssemblyPlan.Forgotten> forgotten) {
    /** More would push the key that does it off the card. */
    private static final int BROKEN_SHOWN = 4;

    /**
     * The card of a line.
     *
     * @param dosing rounds for the exit stone; nothing at any other point
     * @param broken holds and safety rules that speak against doing it now
     * @param otherHabits schools that speak against it: a remark
     * @param copy which copy goes on, where it is another than came off
     * @param wantsReading whether a reading settles it and no key does
     * @param findings what was found on the part, so that no decision is overlooked
     * @param asks questions before the part goes on
     * @param said what was said of the part on the way down
     * @param suspected what may be wrong with the part and was not looked at yet
     * @param weakPoints what is known to wear on it
     * @param photo the last one of the part
     * @param tray where it lies
     * @param toDrive how many screws lie with the part; 0 at other lines
     * @param gauge what is judged by eye at it; nothing at most lines
     */
    record Card(
            Line line,
            boolean isNext,
            List<Constraint> broken,
            List<Constraint> otherHabits,
            @Nullable Part part,
            String screws,
            @Nullable OilPoint point,
            @Nullable EscapeDosing dosing,
            List<Finding> findings,
            String copy,
            boolean visiting,
            List<Caution> asks,
            List<Caution> remarks,
            List<String> said,
            List<String> suspected,
            List<String> weakPoints,
            @Nullable Integer photo,
            @Nullable Integer tray,
            boolean wantsReading,
            boolean demagnetises,
            int toDrive,
            @Nullable SeenGauge gauge) {
        /** What speaks against it now: the first few, and how many more. */
        public List<String> brokenWords() {
            List<String> words = broken.stream().map(Constraint::why).distinct().toList();
            if (words.size() <= BROKEN_SHOWN + 1) {
                return words;
            }
            List<String> shown = new ArrayList<>(words.subList(0, BROKEN_SHOWN));
            shown.add("and " + (words.size() - BROKEN_SHOWN) + " more");
            return shown;
        }

        /** What kind of line it is, in words. */
        public String kindWords() {
            return switch (line.kind()) {
                case PART -> "part";
                case SCREWS -> "screws";
                case OIL -> "lubrication";
                case TEST -> "test";
            };
        }

        /** What the key that does it says. */
        public String doneWords() {
            return switch (line.kind()) {
                case PART -> "on";
                case SCREWS -> "in, and tight";
                case OIL -> "lubricated";
                case TEST -> demagnetises ? "demagnetised" : "passed";
            };
        }
    }

    static ClimbView of(
            OpenJob open,
            @Nullable String wanted,
            @Nullable Side side,
            boolean oilPanel,
            ClimbActions.@Nullable Outcome outcome,
            @Nullable String said) {
        open.requireSheet();
        Job job = open.job();
        TeardownState state = job.teardown();
        CalibreSheet sheet = state.sheet();
        AssemblyPlan plan = job.wayUp();
        List<Line> lines = plan.lines();
        Line current = lines.stream()
                .filter(l -> l.code().equals(wanted))
                .findFirst()
                .or(() -> lines.stream().findFirst())
                .orElse(null);
        int at = current == null ? -1 : lines.indexOf(current);
        String partCode = current == null ? null : partOf(sheet, current);
        Side up = side != null
                ? side
                : current == null || current.side() == Side.IN_HAND
                        ? TeardownOrder.sideUp(state).orElse(Side.TRAIN)
                        : current.side();
        Set<String> free = plan.freeNow().stream().map(Line::code).collect(Collectors.toSet());
        return new ClimbView(
                Ladder.of(job, Ladder.order(job), partCode),
                PlanDrawing.of(sheet, up, new PlanDrawing.State(state::isOff, free, partCode, Set.of())),
                up,
                current == null ? null : card(open, plan, current, at == 0),
                lines.stream().skip(at + 1L).limit(5).toList(),
                at > 0 ? lines.get(at - 1).code() : null,
                at >= 0 && at < lines.size() - 1 ? lines.get(at + 1).code() : null,
                lines.size(),
                plan.turnOvers(),
                state.visiting().stream().map(sheet::requirePart).toList(),
                Undo.of(open, StepKind.CLIMB),
                outcome,
                said,
                job.lives().everOff().isEmpty(),
                job.searches().lost().stream()
                        .map(p -> sheet.part(p).map(Part::name).orElse(p))
                        .toList(),
                oilPanel ? oiledNow(state, partCode) : null,
                plan.forgotten());
    }

    /** What is oiled in the act is the part that went on last; before any, the one at hand. */
    private static @Nullable Part oiledNow(TeardownState state, @Nullable String atHand) {
        List<String> on = state.onAgain();
        String part = on.isEmpty() ? atHand : on.get(on.size() - 1);
        return part == null ? null : state.sheet().part(part).orElse(null);
    }

    /** Classes of lubricant to choose from. */
    public List<LubricantClass> lubricants() {
        return List.of(LubricantClass.values());
    }

    private static String partOf(CalibreSheet sheet, Line line) {
        return switch (line.kind()) {
            case PART, SCREWS -> line.code();
            case OIL -> sheet.oilPoint(line.code()).orElseThrow().part();
            case TEST -> sheet.test(line.code()).orElseThrow().after();
        };
    }

    private static Card card(OpenJob open, AssemblyPlan plan, Line line, boolean next) {
        Job job = open.job();
        CalibreSheet sheet = job.movement();
        Part part = line.kind() == AssemblyPlan.Kind.PART ? sheet.requirePart(line.code()) : null;
        OilPoint point = line.kind() == AssemblyPlan.Kind.OIL
                ? sheet.oilPoint(line.code()).orElseThrow()
                : null;
        AssemblyTest test =
                line.kind() == AssemblyPlan.Kind.TEST ? sheet.test(line.code()).orElseThrow() : null;
        List<Constraint> broken = plan.brokenBy(line);
        return new Card(
                line,
                next,
                broken.stream().filter(Constraint::wantsReason).toList(),
                broken.stream().filter(Constraint::isSchool).toList(),
                part,
                part == null ? "" : screwWords(job, part),
                point,
                dosing(sheet, point),
                part == null ? List.of() : job.findings().on(part.code()),
                part == null ? "" : copyWords(job, part),
                part != null && job.lives().visiting().contains(part.code()),
                cautions(job, line, Caution.Kind.ASKS),
                cautions(job, line, Caution.Kind.SAYS),
                part == null ? List.of() : PartStory.of(open, part.code()).onTheWayDown(),
                part == null ? List.of() : PartStory.of(open, part.code()).suspected(),
                part == null ? List.of() : PartStory.of(open, part.code()).weakPoints(),
                part == null ? null : PartStory.of(open, part.code()).photo().orElse(null),
                part == null || job.tray().numberFor(part).isEmpty()
                        ? null
                        : (Integer) job.tray().numberFor(part).getAsInt(),
                test != null && test.proof() == AssemblyTest.Proof.READING,
                test != null && test.proof() == AssemblyTest.Proof.DEMAGNETISED,
                part == null ? 0 : job.screws().of(part.code()).toDrive(),
                test == null ? null : SeenGauge.of(test).orElse(null));
    }

    private static List<Caution> cautions(Job job, Line line, Caution.Kind kind) {
        return job.movement().part(line.code()).stream()
                .flatMap(part -> Asked.before(job, line.kind(), part).stream())
                .filter(c -> c.kind() == kind)
                .toList();
    }

    /** Its screws, and which of them were only eased. */
    private static String screwWords(Job job, Part part) {
        PartScrews screws = job.screws().of(part.code());
        int eased = screws.count(PartScrews.Where.EASED);
        return screws.words() + (eased == 0 ? "" : ": tighten " + (eased == 1 ? "it" : "them") + " again");
    }

    /** Which copy goes on, where it is not the one that came off. */
    private static String copyWords(Job job, Part part) {
        return job.copies()
                .now(part.code())
                .filter(c -> c.isBroughtIn() && c.fittedAt() == 0)
                .map(c -> "another one, " + c.origin().words() + (c.source().isBlank() ? "" : ", " + c.source()))
                .orElse("");
    }

    private static @Nullable EscapeDosing dosing(CalibreSheet sheet, @Nullable OilPoint point) {
        Train train = sheet.train();
        return point == null || train == null || sheet.requirePart(point.part()).role() != Role.PALLET_FORK
                ? null
                : EscapeDosing.forTeeth(train.escapeTeeth());
    }
}
