package escrel.core.calibre;

import java.util.List;

/**
 * How a part is drawn, in millimetres from the centre of the movement, x towards 3, y towards 12, seen from the dial.
 *
 * @param kind what the other fields mean
 * @param x centre, for wheels, rings and discs
 * @param y centre, for wheels, rings and discs
 * @param radius pitch radius of a wheel, rim of a balance, radius of a disc; 0 for outlines and lines
 * @param teeth true number of teeth of a wheel, else 0
 * @param points corners of an outline or a line, smoothed when drawn; each a pair x, y
 */
public record Shape(Kind kind, double x, double y, double radius, int teeth, List<double[]> points) {
    /** Kinds of drawing. */
    public enum Kind {
        /** Spoked train wheel with its true teeth. */
        WHEEL,
        /** Steel wheel (ratchet, crown wheel, setting wheels): solid, with its true teeth. */
        STEEL_WHEEL,
        /** Escape wheel with club teeth. */
        ESCAPE_WHEEL,
        /** Barrel drum with teeth at its rim. */
        BARREL,
        /** Balance: rim and two arms. */
        BALANCE,
        /** Plain disc. */
        DISC,
        /** Closed outline: bridges, cocks, levers, dial. */
        OUTLINE,
        /** Thin line: springs, hands, stem. */
        LINE,
        /** Flat ring with an opening: date ring, snap ring. */
        RING,
        /** Column wheel: ratchet teeth below, columns above; {@code teeth} counts the columns. */
        COLUMN_WHEEL,
        /** Closed outline with true corners: clamps, plates cut straight. */
        POLYGON,
        /** A place on a photograph, without a size. */
        PIN
    }

    public Shape {
        points = Copies.list(points);
    }

    /** A pin at a place, in millimetres from the centre. */
    public static Shape pin(double x, double y) {
        return new Shape(Kind.PIN, x, y, 0, 0, List.of());
    }

    /** Whether the shape is given by centre and radius. */
    public boolean isRound() {
        return kind != Kind.OUTLINE && kind != Kind.LINE && kind != Kind.POLYGON;
    }

    /** The same shape, larger or smaller about the movement's centre. */
    public Shape times(double factor) {
        return new Shape(
                kind,
                x * factor,
                y * factor,
                radius * factor,
                teeth,
                points.stream()
                        .map(p -> new double[] {p[0] * factor, p[1] * factor})
                        .toList());
    }

    /** Its middle, in millimetres from the centre: the centre of a wheel, the mean of an outline's corners. */
    public double[] middle() {
        if (isRound() || points.isEmpty()) {
            return new double[] {x, y};
        }
        return new double[] {
            points.stream().mapToDouble(p -> p[0]).average().orElse(0),
            points.stream().mapToDouble(p -> p[1]).average().orElse(0)
        };
    }

    /** How far the shape reaches from the movement's centre, in millimetres. */
    public double reachMillimetres() {
        if (isRound()) {
            return Math.hypot(x, y) + radius;
        }
        return points.stream().mapToDouble(p -> Math.hypot(p[0], p[1])).max().orElse(0);
    }
}
