package escrel.web.chart;

import escrel.core.quantity.Measured;
import escrel.core.timing.comparison.Turn;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * The pattern of the positions as a small rose, 240 wide and high: each position in a direction of its own, further out
 * the faster. A round rose is a watch that runs alike in all positions; one pulled to a side is poise; lying and hanging
 * on different rings show as two shapes.
 *
 * @param ringSeconds s/d from the ring in the middle to the next
 * @param middle s/d on the middle ring
 */
public record Rose(double ringSeconds, double middle, List<Petal> petals, String before, String after) {
    /**
     * One position.
     *
     * @param x end of its spoke
     * @param wordsX where its name stands
     */
    public record Petal(
            String mark,
            boolean lying,
            double x,
            double y,
            double wordsX,
            double wordsY,
            @Nullable Dot before,
            @Nullable Dot after) {}

    /** Where a reading lies. */
    public record Dot(double x, double y) {}

    private static final double CENTRE = 120;
    private static final double MIDDLE_RADIUS = 55;
    private static final double OUTER_RADIUS = 92;
    private static final double NAME_RADIUS = 106;
    private static final double SMALLEST_RING = 5;

    static @Nullable Rose of(Turn turn) {
        List<Double> rates = new ArrayList<>();
        for (Turn.Line line : turn.lines()) {
            add(rates, line.before());
            add(rates, line.after());
        }
        if (rates.size() < 3) {
            return null;
        }
        double low = rates.stream().mapToDouble(r -> r).min().orElse(0);
        double high = rates.stream().mapToDouble(r -> r).max().orElse(0);
        double middle = Math.rint((low + high) / 2);
        double ring = SMALLEST_RING;
        while (ring * 2 < (high - low) / 2) {
            ring *= 2;
        }
        List<Petal> petals = new ArrayList<>();
        for (Turn.Line line : turn.lines()) {
            petals.add(petal(line, middle, ring));
        }
        return new Rose(ring, middle, petals, shape(petals, true), shape(petals, false));
    }

    private static void add(List<Double> rates, @Nullable Reading reading) {
        if (reading != null && reading.rateSecondsPerDay() != null) {
            rates.add(reading.rateSecondsPerDay().value());
        }
    }

    private static Petal petal(Turn.Line line, double middle, double ring) {
        double angle = angle(line.position());
        return new Petal(
                line.position().mark(),
                line.position().isHorizontal(),
                x(angle, OUTER_RADIUS),
                y(angle, OUTER_RADIUS),
                x(angle, NAME_RADIUS),
                y(angle, NAME_RADIUS) + 5,
                dot(line.before(), angle, middle, ring),
                dot(line.after(), angle, middle, ring));
    }

    private static @Nullable Dot dot(@Nullable Reading reading, double angle, double middle, double ring) {
        Measured rate = reading == null ? null : reading.rateSecondsPerDay();
        if (rate == null) {
            return null;
        }
        double perRing = (OUTER_RADIUS - MIDDLE_RADIUS) / 2;
        double radius = Math.max(6, Math.min(OUTER_RADIUS, MIDDLE_RADIUS + (rate.value() - middle) / ring * perRing));
        return new Dot(x(angle, radius), y(angle, radius));
    }

    /** Degrees anticlockwise from the right: crowns where they point, the lying ones between. */
    private static double angle(Position position) {
        return switch (position) {
            case CROWN_RIGHT -> 0;
            case DIAL_UP -> 45;
            case CROWN_UP -> 90;
            case CROWN_LEFT -> 180;
            case DIAL_DOWN -> 225;
            case CROWN_DOWN -> 270;
        };
    }

    private static double x(double angle, double radius) {
        return round(CENTRE + radius * Math.cos(Math.toRadians(angle)));
    }

    private static double y(double angle, double radius) {
        return round(CENTRE - radius * Math.sin(Math.toRadians(angle)));
    }

    private static double round(double value) {
        return Math.round(value * 10) / 10.0;
    }

    /** The hanging positions joined to a shape; empty with fewer than three of them. */
    private static String shape(List<Petal> petals, boolean before) {
        List<Dot> dots = new ArrayList<>();
        // round the rose: up, right, down, left
        for (Position position :
                List.of(Position.CROWN_UP, Position.CROWN_RIGHT, Position.CROWN_DOWN, Position.CROWN_LEFT)) {
            petals.stream()
                    .filter(p -> p.mark().equals(position.mark()))
                    .map(p -> before ? p.before() : p.after())
                    .filter(d -> d != null)
                    .forEach(dots::add);
        }
        if (dots.size() < 3) {
            return "";
        }
        StringBuilder path = new StringBuilder();
        for (Dot dot : dots) {
            path.append(path.length() == 0 ? 'M' : 'L')
                    .append(String.format(Locale.ROOT, "%.1f %.1f", dot.x(), dot.y()));
        }
        return path.append('Z').toString();
    }
}
