package escrel.web.plan;

import java.util.List;

/** SVG path data in millimetres, y downwards. */
final class Paths {
    private Paths() {}

    /** A wheel with trapezoid teeth of the true number about the pitch circle. */
    static String gear(double x, double y, double pitchRadius, int teeth) {
        double module = 2 * pitchRadius / teeth;
        double root = pitchRadius - 1.1 * module;
        double tip = pitchRadius + 0.9 * module;
        double step = 2 * Math.PI / teeth;
        StringBuilder d = new StringBuilder();
        for (int t = 0; t < teeth; t++) {
            double a = t * step;
            point(d, t == 0 ? 'M' : 'L', x, y, root, a - 0.28 * step);
            point(d, 'L', x, y, tip, a - 0.13 * step);
            point(d, 'L', x, y, tip, a + 0.13 * step);
            point(d, 'L', x, y, root, a + 0.28 * step);
        }
        return d.append('Z').toString();
    }

    /** An escape wheel with club teeth. */
    static String escape(double x, double y, double radius, int teeth) {
        double step = 2 * Math.PI / teeth;
        StringBuilder d = new StringBuilder();
        for (int t = 0; t < teeth; t++) {
            double a = t * step;
            point(d, t == 0 ? 'M' : 'L', x, y, 0.70 * radius, a - 0.25 * step);
            point(d, 'L', x, y, 0.92 * radius, a + 0.10 * step);
            point(d, 'L', x, y, radius, a + 0.30 * step);
            point(d, 'L', x, y, 0.93 * radius, a + 0.36 * step);
            point(d, 'L', x, y, 0.70 * radius, a + 0.12 * step);
        }
        return d.append('Z').toString();
    }

    /** The openings between the spokes of a wheel, to be cut out by the even-odd rule. */
    static String openings(double x, double y, double hub, double rim, int spokes, double spokeWidth) {
        StringBuilder d = new StringBuilder();
        double step = 2 * Math.PI / spokes;
        for (int s = 0; s < spokes; s++) {
            double inner = Math.asin(Math.min(0.9, spokeWidth / 2 / hub));
            double outer = Math.asin(Math.min(0.9, spokeWidth / 2 / rim));
            double from = s * step;
            double to = from + step;
            point(d, 'M', x, y, hub, from + inner);
            point(d, 'L', x, y, rim, from + outer);
            arc(d, x, y, rim, to - outer, 1);
            point(d, 'L', x, y, hub, to - inner);
            arc(d, x, y, hub, from + inner, 0);
            d.append('Z');
        }
        return d.toString();
    }

    /** The inner edge of a date ring: small teeth that point to the middle. */
    static String innerTeeth(double x, double y, double radius, int teeth) {
        double step = 2 * Math.PI / teeth;
        double tip = 0.955 * radius;
        StringBuilder d = new StringBuilder();
        for (int t = 0; t < teeth; t++) {
            double a = t * step;
            point(d, t == 0 ? 'M' : 'L', x, y, radius, a - 0.24 * step);
            point(d, 'L', x, y, tip, a);
            point(d, 'L', x, y, radius, a + 0.24 * step);
            arc(d, x, y, radius, a + 0.76 * step, 1);
        }
        return d.append('Z').toString();
    }

    /** The columns of a column wheel: sectors standing on it. */
    static String columns(double x, double y, double outer, double inner, int count) {
        StringBuilder d = new StringBuilder();
        double step = 2 * Math.PI / count;
        for (int c = 0; c < count; c++) {
            double from = c * step;
            double to = from + 0.5 * step;
            point(d, 'M', x, y, inner, from);
            point(d, 'L', x, y, outer, from);
            arc(d, x, y, outer, to, 1);
            point(d, 'L', x, y, inner, to);
            arc(d, x, y, inner, from, 0);
            d.append('Z');
        }
        return d.toString();
    }

    /** How far a mark's leader reaches beside and above the place, in its radii. */
    static final double LEADER_ACROSS = 2.6;

    static final double LEADER_UP = 2.2;

    /** To which side a mark's leader points, 1 for the right: near the rim inwards, so that the name stays in the picture. */
    static double leaderWay(double x) {
        boolean nearRim = Math.abs(x) > 0.35 * PlanDrawing.DRAWN_RADIUS;
        return x < 0 == nearRim ? 1 : -1;
    }

    /** A ring about the place with a leader, at whose end the name stands. */
    static String pin(double x, double y, double r) {
        double way = leaderWay(x);
        double edge = r / Math.hypot(LEADER_ACROSS, LEADER_UP);
        return circle(x, y, r)
                + "M%s %sL%s %s"
                        .formatted(
                                n(x + way * edge * LEADER_ACROSS),
                                n(y - edge * LEADER_UP),
                                n(x + way * LEADER_ACROSS * r),
                                n(y - LEADER_UP * r));
    }

    static String circle(double x, double y, double r) {
        // rounded once: a radius a hair too small for its chord would be drawn as an oval
        double half = Math.round(r * 100) / 100.0;
        return "M%s %sa%s %s 0 1 0 %s 0a%s %s 0 1 0 %s 0Z"
                .formatted(n(x - half), n(y), n(half), n(half), n(2 * half), n(half), n(half), n(-2 * half));
    }

    /** A closed outline through the points, smoothed (Catmull-Rom as cubic Béziers). */
    static String outline(List<double[]> points) {
        int size = points.size();
        StringBuilder d = new StringBuilder(move(points.get(0)));
        for (int i = 0; i < size; i++) {
            curve(
                    d,
                    points.get((i + size - 1) % size),
                    points.get(i),
                    points.get((i + 1) % size),
                    points.get((i + 2) % size));
        }
        return d.append('Z').toString();
    }

    /** An open line through the points. */
    static String line(List<double[]> points) {
        StringBuilder d = new StringBuilder(move(points.get(0)));
        for (double[] p : points.subList(1, points.size())) {
            d.append('L').append(n(p[0])).append(' ').append(n(p[1]));
        }
        return d.toString();
    }

    /** An open line through the points, smoothed. */
    static String bent(List<double[]> points) {
        int last = points.size() - 1;
        StringBuilder d = new StringBuilder(move(points.get(0)));
        for (int i = 0; i < last; i++) {
            curve(
                    d,
                    points.get(Math.max(0, i - 1)),
                    points.get(i),
                    points.get(i + 1),
                    points.get(Math.min(last, i + 2)));
        }
        return d.toString();
    }

    private static String move(double[] p) {
        return "M" + n(p[0]) + " " + n(p[1]);
    }

    private static void curve(StringBuilder d, double[] before, double[] from, double[] to, double[] after) {
        d.append("C%s %s %s %s %s %s"
                .formatted(
                        n(from[0] + (to[0] - before[0]) / 6),
                        n(from[1] + (to[1] - before[1]) / 6),
                        n(to[0] - (after[0] - from[0]) / 6),
                        n(to[1] - (after[1] - from[1]) / 6),
                        n(to[0]),
                        n(to[1])));
    }

    private static void point(StringBuilder d, char command, double x, double y, double r, double angle) {
        d.append(command).append(n(x + r * Math.cos(angle))).append(' ').append(n(y + r * Math.sin(angle)));
    }

    private static void arc(StringBuilder d, double x, double y, double r, double to, int sweep) {
        d.append("A%s %s 0 0 %d %s %s".formatted(n(r), n(r), sweep, n(x + r * Math.cos(to)), n(y + r * Math.sin(to))));
    }

    /** Hundredths are finer than any screen. Written by hand: a plan has thousands of numbers, and a formatter is slow. */
    static String n(double value) {
        long hundredths = Math.round(value * 100);
        long whole = Math.abs(hundredths) / 100;
        long rest = Math.abs(hundredths) % 100;
        StringBuilder text = new StringBuilder(8);
        if (hundredths < 0) {
            text.append('-');
        }
        text.append(whole);
        if (rest > 0) {
            text.append('.').append(rest / 10);
            if (rest % 10 > 0) {
                text.append(rest % 10);
            }
        }
        return text.toString();
    }
}
