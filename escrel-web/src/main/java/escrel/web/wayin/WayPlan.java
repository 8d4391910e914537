package escrel.web.wayin;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.teardown.TeardownState;
import escrel.web.plan.PlanDrawing;
import escrel.web.plan.Spots;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The way in on one side of the plan: what has to come off stands out and is numbered as in the list, what is off already is
 * gone, the rest stays fitted.
 *
 * @param spots the numbers
 */
record WayPlan(PlanDrawing plan, List<Spots.Spot> spots) {
    /** A number is a little smaller than this, in the units of the drawing. */
    private static final double APART = 1.3;

    /** The sides on which something comes off that is drawn there; none where nothing has a place. */
    static List<WayPlan> of(TeardownState state, List<Part> down, String target) {
        CalibreSheet sheet = state.sheet();
        Set<String> codes = down.stream().map(Part::code).collect(Collectors.toSet());
        List<WayPlan> sides = new ArrayList<>();
        for (Side side : List.of(Side.DIAL, Side.TRAIN)) {
            List<Spots.Spot> spots = spots(sheet, down, side);
            if (!spots.isEmpty()) {
                boolean under = side == Side.DIAL && goesUnderTheDial(sheet, down);
                PlanDrawing.State drawn = new PlanDrawing.State(
                        code -> state.isOff(code) || under && PlanDrawing.isOver(sheet, code), codes, target, Set.of());
                sides.add(new WayPlan(PlanDrawing.of(sheet, side, drawn), spots));
            }
        }
        return sides;
    }

    private static List<Spots.Spot> spots(CalibreSheet sheet, List<Part> down, Side side) {
        List<Spots.Spot> spots = new ArrayList<>();
        List<PlanDrawing.Point> taken = new ArrayList<>();
        for (int i = 0; i < down.size(); i++) {
            String number = String.valueOf(i + 1);
            Part part = down.get(i);
            PlanDrawing.placeOf(sheet, part.code(), side).ifPresent(there -> {
                PlanDrawing.Point at = Spots.beside(taken, there, APART);
                taken.add(at);
                spots.add(new Spots.Spot(number, part.name(), at.x(), at.y(), ""));
            });
        }
        return spots;
    }

    /** Where the way goes under the dial, that is drawn as gone. */
    private static boolean goesUnderTheDial(CalibreSheet sheet, List<Part> down) {
        return down.stream().anyMatch(p -> p.side() == Side.DIAL && !PlanDrawing.isOver(sheet, p.code()));
    }
}
