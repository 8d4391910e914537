package escrel.web.climb;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.AssemblyPlan.Line;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.lubrication.EscapeDosing;
import escrel.core.parts.Finding;
import escrel.core.parts.Findings;
import escrel.core.service.JobHistory;
import escrel.core.teardown.Caution;
import escrel.core.teardown.Constraint;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.web.job.OpenJob;
import escrel.web.ladder.Ladder;
import escrel.web.plan.PlanDrawing;
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
        boolean canUndo,
        ClimbActions.@Nullable Outcome outcome,
        @Nullable String said,
        boolean nothingOff) {
    /**
     * The card of a line.
     *
     * @param dosing rounds for the exit stone, in words, or empty
     * @param findings what was found on the part, so that no decision is overlooked
     */
    record Card(
            Line line,
            boolean isNext,
            List<Constraint> broken,
            @Nullable Part part,
            String screws,
            @Nullable OilPoint point,
            String dosing,
            List<Finding> findings,
            boolean visiting,
            List<Caution> habits) {}

    static ClimbView of(
            OpenJob job,
            @Nullable String wanted,
            @Nullable Side side,
            ClimbActions.@Nullable Outcome outcome,
            @Nullable String said) {
        TeardownState state = job.teardown();
        CalibreSheet sheet = state.sheet();
        JobHistory history = job.history();
        AssemblyPlan plan = AssemblyPlan.from(state, history, job.schools());
        List<Line> lines = plan.lines();
        Line current = lines.stream()
                .filter(l -> l.code().equals(wanted))
                .findFirst()
                .or(plan::next)
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
                Ladder.of(state, history, Ladder.order(state, TeardownOrder.from(state, job.schools())), partCode),
                PlanDrawing.of(sheet, up, new PlanDrawing.State(state::isOff, free, partCode, Set.of())),
                up,
                current == null ? null : card(job, state, plan, current),
                lines.stream().skip(at + 1L).limit(5).toList(),
                at > 0 ? lines.get(at - 1).code() : null,
                at >= 0 && at < lines.size() - 1 ? lines.get(at + 1).code() : null,
                lines.size(),
                plan.turnOvers(),
                state.visiting().stream().map(sheet::requirePart).toList(),
                history.nextToTakeBack().isPresent(),
                outcome,
                said,
                state.order().isEmpty());
    }

    private static String partOf(CalibreSheet sheet, Line line) {
        return switch (line.kind()) {
            case PART -> line.code();
            case OIL -> point(sheet, line.code()).part();
            case TEST ->
                sheet.tests().stream()
                        .filter(t -> t.code().equals(line.code()))
                        .findFirst()
                        .orElseThrow()
                        .after();
        };
    }

    private static OilPoint point(CalibreSheet sheet, String code) {
        return sheet.oilPoints().stream()
                .filter(p -> p.code().equals(code))
                .findFirst()
                .orElseThrow();
    }

    private static Card card(OpenJob job, TeardownState state, AssemblyPlan plan, Line line) {
        CalibreSheet sheet = state.sheet();
        Part part = line.kind() == AssemblyPlan.Kind.PART ? sheet.requirePart(line.code()) : null;
        OilPoint point = line.kind() == AssemblyPlan.Kind.OIL ? point(sheet, line.code()) : null;
        return new Card(
                line,
                plan.next().filter(line::equals).isPresent(),
                plan.brokenBy(line.code()),
                part,
                part == null ? "" : Ladder.screwWords(sheet.screwsOf(part.code())),
                point,
                dosing(sheet, point),
                part == null ? List.of() : Findings.of(job.history()).on(part.code()),
                part != null && state.visiting().contains(part.code()),
                part == null ? List.of() : Caution.onTheWayUp(sheet, part, job.schools()));
    }

    private static String dosing(CalibreSheet sheet, @Nullable OilPoint point) {
        boolean exitStone =
                point != null && sheet.requirePart(point.part()).role() == Role.PALLET_FORK && sheet.train() != null;
        if (!exitStone) {
            return "";
        }
        EscapeDosing dosing = EscapeDosing.forTeeth(sheet.train().escapeTeeth());
        return "%d teeth: %d doses, walking %d teeth between"
                .formatted(dosing.teeth(), dosing.doses(), dosing.teethPerDose());
    }
}
