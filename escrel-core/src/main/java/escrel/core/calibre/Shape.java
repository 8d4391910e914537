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
        LINE
    }

    public Shape {
        points = Copies.list(points);
    }

    /** Whether the shape is given by centre and radius. */
    public boolean isRound() {
        return kind != Kind.OUTLINE && kind != Kind.LINE;
    }

    /** How far the shape reaches from the movement's centre, in millimetres. */
    public double reachMillimetres() {
        if (isRound()) {
            return Math.hypot(x, y) + radius;
        }
        return points.stream().mapToDouble(p -> Math.hypot(p[0], p[1])).max().orElse(0);
    }
}
