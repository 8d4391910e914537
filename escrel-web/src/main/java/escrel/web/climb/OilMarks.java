package escrel.web.climb;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Side;
import escrel.web.plan.PlanDrawing;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Lubrication points as they are drawn on a plan: each by the shape of its class, none on top of another. */
final class OilMarks {
    private OilMarks() {}

    /** One side. */
    record Plan(PlanDrawing drawing, Side side, List<Mark> marks) {}

    /**
     * A point as drawn.
     *
     * @param path of its shape about 0, 0
     */
    record Mark(OilChart.Point point, double x, double y, String path) {}

    static Plan plan(CalibreSheet sheet, Side side, List<OilChart.Point> all) {
        double factor = 2 * PlanDrawing.DRAWN_RADIUS / sheet.data().diameterMillimetres();
        List<Mark> marks = new ArrayList<>();
        for (OilChart.Point point : all) {
            OilPoint p = point.point();
            // what is oiled in the hand is drawn with the train side, where its unit goes
            if (p.side() == side || p.side() == Side.IN_HAND && side == Side.TRAIN) {
                double x = (side == Side.TRAIN ? -p.x() : p.x()) * factor;
                marks.add(new Mark(point, round(x), round(-p.y() * factor), shape(p.lubricant())));
            }
        }
        return new Plan(
                PlanDrawing.of(sheet, side, new PlanDrawing.State(c -> covers(sheet, c), Set.of(), null, Set.of())),
                side,
                apart(marks));
    }

    /** Dial, hands and case would hide what is oiled: the chart shows the movement as it is built. */
    private static boolean covers(CalibreSheet sheet, String code) {
        return sheet.part(code)
                .filter(p -> p.group() == Group.DIAL_AND_HANDS || p.group() == Group.CASE)
                .isPresent();
    }

    /** Marks on one place are moved apart, so that each can be seen and pressed. */
    private static List<Mark> apart(List<Mark> marks) {
        List<Mark> placed = new ArrayList<>();
        for (Mark mark : marks) {
            double x = mark.x();
            double y = mark.y();
            for (int turn = 0; turn < 12 && isTaken(placed, x, y); turn++) {
                x = mark.x() + 1.5 * Math.cos(turn * Math.PI / 3) * (1 + turn / 6);
                y = mark.y() + 1.5 * Math.sin(turn * Math.PI / 3) * (1 + turn / 6);
            }
            placed.add(new Mark(mark.point(), round(x), round(y), mark.path()));
        }
        return placed;
    }

    private static boolean isTaken(List<Mark> placed, double x, double y) {
        return placed.stream().anyMatch(m -> Math.hypot(m.x() - x, m.y() - y) < 1.25);
    }

    private static double round(double value) {
        return Math.round(100 * value) / 100.0;
    }

    /** A shape of its own for each class, so that the meaning is never in a colour alone. */
    private static String shape(LubricantClass lubricant) {
        return switch (lubricant) {
            case FINE_OIL -> polygon(24, 0.64, 0);
            case MEDIUM_OIL -> polygon(4, 0.8, Math.PI / 4);
            case PALLET -> polygon(3, 0.86, -Math.PI / 2);
            case CONTACT_GREASE -> polygon(4, 0.84, 0);
            case MAINSPRING_GREASE -> polygon(6, 0.7, 0);
            case BRAKING_GREASE -> polygon(5, 0.76, -Math.PI / 2);
            case GASKET_GREASE -> polygon(8, 0.7, Math.PI / 8);
            case DRY -> polygon(3, 0.86, Math.PI / 2);
        };
    }

    private static String polygon(int corners, double radius, double turned) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < corners; i++) {
            double angle = turned + 2 * Math.PI * i / corners;
            path.append(i == 0 ? "M" : "L")
                    .append(round(radius * Math.cos(angle)))
                    .append(' ')
                    .append(round(radius * Math.sin(angle)));
        }
        return path.append('Z').toString();
    }
}
