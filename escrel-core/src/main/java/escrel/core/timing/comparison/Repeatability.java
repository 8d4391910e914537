package escrel.core.timing.comparison;

/**
 * How well a reading comes back when the same watch is laid down again: one standard deviation each. Always part of the
 * doubt of a difference. Source: M10.
 *
 * @param rateSecondsPerDay 1.5 by default
 * @param amplitudeDegrees 4 by default
 * @param beatErrorMillis 0.1 by default
 */
public record Repeatability(double rateSecondsPerDay, double amplitudeDegrees, double beatErrorMillis) {
    /** The workshop's repeatability until it has been measured. */
    public static final Repeatability DEFAULT = new Repeatability(1.5, 4, 0.1);
}
