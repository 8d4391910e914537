package escrel.web.learnt;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Side;
import escrel.core.learning.SheetDifference.Line;
import escrel.web.job.OpenJob;
import escrel.web.plan.PhotoPlan;
import escrel.web.plan.PlanDrawing;
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
            byPart.forEach((part, about) -> PlanDrawing.placeOf(sheet, part, side)
                    .ifPresent(at -> marks.add(new Mark(
                            part,
                            beside(marks, at),
                            at.y(),
                            String.join("; ", about.stream().map(Line::words).toList()),
                            about.size()))));
            if (!marks.isEmpty()) {
                PlanDrawing.State plain =
                        new PlanDrawing.State(code -> hides(sheet, code, side), Set.of(), null, Set.of());
                sides.add(new LearntPlan(
                        side,
                        PlanDrawing.of(sheet, side, plain),
                        PhotoPlan.of(job.number(), job.sheet(), sheet, side, Integer.MAX_VALUE),
                        List.copyOf(marks)));
            }
        }
        return sides;
    }

    /** Two marks at one place stand beside each other. */
    private static double beside(List<Mark> marks, PlanDrawing.Point at) {
        double x = at.x();
        while (isTaken(marks, x, at.y())) {
            x += APART;
        }
        return x;
    }

    private static boolean isTaken(List<Mark> marks, double x, double y) {
        return marks.stream().anyMatch(m -> Math.abs(m.x() - x) < APART && Math.abs(m.y() - y) < APART);
    }

    /** The dial would hide what lies under it: it is drawn as gone. */
    private static boolean hides(CalibreSheet sheet, String code, Side side) {
        return side == Side.DIAL
                && sheet.part(code)
                        .filter(p -> p.group() == Group.DIAL_AND_HANDS)
                        .isPresent();
    }
}
