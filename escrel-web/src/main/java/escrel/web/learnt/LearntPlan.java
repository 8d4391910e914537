package escrel.web.learnt;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.core.learning.SheetDifference.Line;
import escrel.web.job.OpenJob;
import escrel.web.plan.PhotoPlan;
import escrel.web.plan.PlanDrawing;
import escrel.web.plan.Spots;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What was learnt, as marks on one side of the plan, or of its photograph: each at the part its lines are about, to be accepted
 * or refused there.
 *
 * @param photo in the place of the drawing; nothing where there is none
 */
record LearntPlan(Side side, PlanDrawing plan, @Nullable PhotoPlan photo, List<Mark> marks) {
    /** A mark is a little smaller than this, in the units of the drawing. */
    private static final double APART = 1.7;

    /**
     * The lines about one part.
     *
     * @param part its code, as the lines carry it
     * @param words of all its lines
     * @param count of them
     */
    record Mark(String part, double x, double y, String words, int count) {}

    /** The sides on which something was learnt of a part that is drawn there; none where no line has a place. */
    static List<LearntPlan> of(OpenJob job, List<Line> lines) {
        Map<String, List<Line>> byPart = new LinkedHashMap<>();
        for (Line line : lines) {
            if (line.part() != null) {
                byPart.computeIfAbsent(line.part(), p -> new ArrayList<>()).add(line);
            }
        }
        CalibreSheet sheet = job.movement();
        List<LearntPlan> sides = new ArrayList<>();
        for (Side side : List.of(Side.TRAIN, Side.DIAL)) {
            List<Mark> marks = new ArrayList<>();
            List<PlanDrawing.Point> taken = new ArrayList<>();
            byPart.forEach((part, about) -> PlanDrawing.placeOf(sheet, part, side)
                    .ifPresent(there -> {
                        PlanDrawing.Point at = Spots.beside(taken, there, APART);
                        taken.add(at);
                        String words = String.join(
                                "; ", about.stream().map(Line::words).toList());
                        marks.add(new Mark(part, at.x(), at.y(), words, about.size()));
                    }));
            if (!marks.isEmpty()) {
                PlanDrawing.State plain = new PlanDrawing.State(
                        code -> side == Side.DIAL && PlanDrawing.isOver(sheet, code), Set.of(), null, Set.of());
                sides.add(new LearntPlan(
                        side,
                        PlanDrawing.of(sheet, side, plain),
                        PhotoPlan.of(job.number(), job.sheet(), sheet, side, Integer.MAX_VALUE),
                        List.copyOf(marks)));
            }
        }
        return sides;
    }
}
