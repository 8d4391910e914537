package escrel.core.lume;

import escrel.core.service.Step;

/**
 * An item was held under a counter, and the counter away from everything. Source: M19.
 *
 * @param unit of both figures
 * @param gross over the item, 0 and more
 * @param grossMinutes counted, or averaged over
 * @param background with the item away
 * @param backgroundMinutes counted, or averaged over
 * @param simulated whether no real counter was there
 */
public record LumeCounted(
        LumeItem item,
        Unit unit,
        double gross,
        double grossMinutes,
        double background,
        double backgroundMinutes,
        boolean simulated)
        implements Step {
    /** Longest time of counting, minutes: two days. */
    public static final double LONGEST = 2880;

    private static final double MOST = 10_000_000;

    /** What a counter shows. */
    public enum Unit {
        COUNTS("counts"),
        COUNTS_PER_MINUTE("counts per minute"),
        /** Micro-sievert an hour; its doubt is not known, so that it shows nothing by itself. */
        DOSE_RATE("µSv/h");

        private final String words;

        Unit(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    public LumeCounted {
        requireWithin("the counts", gross, 0, MOST);
        requireWithin("the background", background, 0, MOST);
        requireWithin("the minutes", grossMinutes, 0.05, LONGEST);
        requireWithin("the minutes of the background", backgroundMinutes, 0.05, LONGEST);
    }

    private static void requireWithin(String what, double value, double low, double high) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException("%s lie between %s and %s, was %s".formatted(what, low, high, value));
        }
    }

    /** Over the item, per minute; of a dose rate the figure itself. */
    public double grossRate() {
        return unit == Unit.COUNTS ? gross / grossMinutes : gross;
    }

    /** With the item away, per minute; of a dose rate the figure itself. */
    public double backgroundRate() {
        return unit == Unit.COUNTS ? background / backgroundMinutes : background;
    }

    /** What the item adds. */
    public double net() {
        return grossRate() - backgroundRate();
    }

    /**
     * One standard error of {@link #net}, per minute: √(G/t² + B/t²) of the counts; a rate shown was averaged over its minutes, so
     * that as many counts lie behind it. Not a number for a dose rate. Source: M19.
     */
    public double doubt() {
        return switch (unit) {
            case COUNTS ->
                Math.sqrt(gross / (grossMinutes * grossMinutes) + background / (backgroundMinutes * backgroundMinutes));
            case COUNTS_PER_MINUTE -> Math.sqrt(gross / grossMinutes + background / backgroundMinutes);
            case DOSE_RATE -> Double.NaN;
        };
    }

    /** Whether it lies above background: more than three standard errors. Source: M19. */
    public boolean isAbove() {
        return net() > 3 * doubt();
    }
}
