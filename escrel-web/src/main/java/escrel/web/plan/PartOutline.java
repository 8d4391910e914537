package escrel.web.plan;

import escrel.core.calibre.Part;
import escrel.core.calibre.Shape;
import escrel.core.calibre.Side;
import java.util.Optional;

/**
 * One part drawn by itself, to scale with nothing: what it looks like, not how big it is.
 *
 * @param viewBox left, top, width and height, mm
 */
public record PartOutline(String viewBox, String style, String path, String detail) {
    /** The outline of a part, or nothing when it has no drawing or only a pin. */
    public static Optional<PartOutline> of(Part part) {
        if (part.shape() == null || part.shape().kind() == Shape.Kind.PIN) {
            return Optional.empty();
        }
        // as fine as on a plan, whatever the size of the movement
        Shape shape = part.shape().times(4 / Math.max(0.1, extent(part.shape())));
        PlanDrawing.Drawn drawn = PlanDrawing.alone(part, shape, part.side() == Side.TRAIN ? Side.TRAIN : Side.DIAL);
        double[] middle = shape.middle();
        double reach = extent(shape);
        double x = part.side() == Side.TRAIN ? -middle[0] : middle[0];
        double half = reach * 1.15;
        String box = "%s %s %s %s"
                .formatted(Paths.n(x - half), Paths.n(-middle[1] - half), Paths.n(2 * half), Paths.n(2 * half));
        return Optional.of(new PartOutline(box, drawn.style(), drawn.path(), drawn.detail()));
    }

    private static double extent(Shape shape) {
        double[] middle = shape.middle();
        return shape.isRound()
                ? shape.radius()
                : shape.points().stream()
                        .mapToDouble(p -> Math.hypot(p[0] - middle[0], p[1] - middle[1]))
                        .max()
                        .orElse(1);
    }
}
