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

    /** Inner edge of a ring, as a share of its radius: as wide as its numbers or its spring need. */
    public static final double RING_INNER = 0.8;

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

    /**
     * Whether a place lies under it as it is drawn; a line or a pin covers nothing, a ring only what lies under its rim.
     *
     * @param atX millimetres from the centre, towards 3
     * @param atY millimetres from the centre, towards 12
     */
    public boolean covers(double atX, double atY) {
        double distance = Math.hypot(atX - x, atY - y);
        return switch (kind) {
            case LINE, PIN -> false;
            case RING -> distance <= radius && distance >= RING_INNER * radius;
            case OUTLINE, POLYGON -> inside(atX, atY);
            default -> distance <= radius;
        };
    }

    /** By how often a ray to the right crosses its edges. */
    private boolean inside(double atX, double atY) {
        boolean in = false;
        for (int i = 0, j = points.size() - 1; i < points.size(); j = i++) {
            double[] a = points.get(i);
            double[] b = points.get(j);
            if (a[1] > atY != b[1] > atY && atX < (b[0] - a[0]) * (atY - a[1]) / (b[1] - a[1]) + a[0]) {
                in = !in;
            }
        }
        return in;
    }

    /** How far the shape reaches from the movement's centre, in millimetres. */
    public double reachMillimetres() {
        if (isRound()) {
            return Math.hypot(x, y) + radius;
        }
        return points.stream().mapToDouble(p -> Math.hypot(p[0], p[1])).max().orElse(0);
    }
}
