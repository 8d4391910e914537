package escrel.web.plan;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import escrel.core.calibre.Shape;
import escrel.core.calibre.Side;
import java.util.ArrayList;
import java.util.List;

/**
 * The lines of a part: the same whatever its state, so that teeth are not worked out again for every page.
 *
 * @param path its outline
 * @param detail lines within it, may be empty
 */
record PartLines(String path, String detail) {
    /** Radius of the ring that marks a part on a photograph, in the drawing's units. */
    static final double MARK = 0.45;

    private static final LoadingCache<Form, PartLines> DRAWN =
            Caffeine.newBuilder().maximumSize(4_000).executor(Runnable::run).build(PartLines::lines);

    /** The lines of a shape on a side. */
    static PartLines of(Shape shape, Side side, boolean ghost, boolean eccentric, boolean flies) {
        return DRAWN.get(new Form(Outline.of(shape), side, ghost, eccentric, flies));
    }

    /** What the lines of a part depend on. */
    private record Form(Outline outline, Side side, boolean ghost, boolean eccentric, boolean flies) {}

    /** A shape that equals another by its numbers: the corners of a shape are arrays, which equal only themselves. */
    private record Outline(Shape.Kind kind, double x, double y, double radius, int teeth, List<Double> corners) {
        static Outline of(Shape shape) {
            List<Double> corners = new ArrayList<>(2 * shape.points().size());
            for (double[] point : shape.points()) {
                corners.add(point[0]);
                corners.add(point[1]);
            }
            return new Outline(shape.kind(), shape.x(), shape.y(), shape.radius(), shape.teeth(), corners);
        }

        Shape shape() {
            List<double[]> points = new ArrayList<>(corners.size() / 2);
            for (int i = 0; i < corners.size(); i += 2) {
                points.add(new double[] {corners.get(i), corners.get(i + 1)});
            }
            return new Shape(kind, x, y, radius, teeth, points);
        }
    }

    private static PartLines lines(Form form) {
        Shape shape = form.outline().shape();
        Side side = form.side();
        double x = PlanDrawing.flip(shape.x(), side);
        double y = -shape.y();
        double r = shape.radius();
        String path;
        String detail = "";
        if (form.ghost()) {
            return new PartLines(Paths.circle(x, y, r), "");
        }
        switch (shape.kind()) {
            case WHEEL:
                path = Paths.gear(x, y, r, shape.teeth()) + Paths.openings(x, y, 0.24 * r, 0.80 * r, 5, 0.10 * r);
                break;
            case STEEL_WHEEL:
                path = Paths.gear(x, y, r, shape.teeth());
                detail = Paths.circle(x, y, 0.78 * r);
                break;
            case ESCAPE_WHEEL:
                path = Paths.escape(x, y, r, shape.teeth()) + Paths.openings(x, y, 0.20 * r, 0.56 * r, 4, 0.10 * r);
                break;
            case BARREL:
                path = Paths.gear(x, y, r, shape.teeth());
                detail = Paths.circle(x, y, 0.86 * r) + Paths.circle(x, y, 0.26 * r) + Paths.circle(x, y, 0.09 * r);
                break;
            case BALANCE:
                path = Paths.circle(x, y, r) + Paths.openings(x, y, 0.16 * r, 0.88 * r, 2, 0.12 * r);
                detail = Paths.circle(x, y, 0.30 * r) + Paths.circle(x, y, 0.38 * r) + Paths.circle(x, y, 0.46 * r);
                break;
            case DISC:
                path = Paths.circle(x, y, r);
                // an adjuster is drawn as what it is, so that nobody takes it for a screw
                detail = form.eccentric() ? Paths.circle(x + 0.3 * r, y, 0.45 * r) : "";
                break;
            case RING:
                path = Paths.circle(x, y, r)
                        + (shape.teeth() > 0
                                ? Paths.innerTeeth(x, y, Shape.RING_INNER * r, shape.teeth())
                                : Paths.circle(x, y, Shape.RING_INNER * r));
                break;
            case COLUMN_WHEEL:
                path = Paths.gear(x, y, r, 3 * shape.teeth());
                detail = Paths.columns(x, y, 0.86 * r, 0.44 * r, shape.teeth());
                break;
            case PIN:
                path = Paths.pin(x, y, MARK);
                break;
            case POLYGON:
                path = Paths.line(turned(shape.points(), side)) + "Z";
                break;
            case OUTLINE:
                path = Paths.outline(turned(shape.points(), side));
                break;
            default:
                // springs are bent, stems and hands are straight
                path = form.flies()
                        ? Paths.bent(turned(shape.points(), side))
                        : Paths.line(turned(shape.points(), side));
        }
        return new PartLines(path, detail);
    }

    private static List<double[]> turned(List<double[]> points, Side side) {
        return points.stream()
                .map(p -> new double[] {PlanDrawing.flip(p[0], side), -p[1]})
                .toList();
    }
}
