package escrel.core.timing.comparison;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Lore;
import escrel.core.calibre.WatchClass;
import org.jspecify.annotations.Nullable;

/**
 * What is good enough for a class of watch: defaults the workshop may change. Source: M11.
 *
 * @param lowRate lower end of the target for the mean rate, s/d
 * @param highRate upper end, s/d
 * @param spread largest, s/d
 * @param lowestAmplitude degrees at full wind
 * @param beatError largest, ms
 */
public record Targets(double lowRate, double highRate, double spread, double lowestAmplitude, double beatError) {
    /** Healthy amplitude lying, at full wind: from. Source: M11. */
    public static final double HEALTHY_FROM = 250;
    /** Healthy amplitude lying, at full wind: below. Source: M11. */
    public static final double HEALTHY_BELOW = 315;
    /** How much lower the verticals usually are, the most of it. Source: M11 (20 to 40°). */
    public static final double VERTICAL_DROP = 40;

    /** Where nobody said of what class a watch is: nearer to nothing is better, and nothing is good enough. */
    public static final Targets NOT_SAID = new Targets(0, 0, 0, HEALTHY_FROM, 0);

    /** Whether these are targets somebody stated, by figures or by a class. */
    public boolean isStated() {
        return this != NOT_SAID;
    }

    /** The defaults of a class; those nobody stated for none. */
    public static Targets of(@Nullable WatchClass watchClass) {
        if (watchClass == null) {
            return NOT_SAID;
        }
        return switch (watchClass) {
            case MODERN_FAST -> new Targets(-2, 8, 15, 220, 0.6);
            case MODERN_SLOW -> new Targets(-5, 15, 25, 220, 0.6);
            case CHRONOGRAPH -> new Targets(-5, 15, 30, 220, 0.8);
            case VINTAGE_SHOCK_SETTING -> new Targets(-5, 15, 25, 210, 0.8);
            case VINTAGE_NO_SHOCK_SETTING -> new Targets(-10, 20, 35, 200, 1.0);
            case POCKET -> new Targets(-15, 20, 40, 200, 1.2);
            case VERY_SMALL -> new Targets(-15, 30, 45, 190, 1.2);
        };
    }

    /**
     * The workshop's own limits for a calibre, or the defaults of its class; while the calibre or its class is unknown,
     * those nobody stated.
     */
    public static Targets of(@Nullable CalibreSheet sheet) {
        if (sheet == null) {
            return NOT_SAID;
        }
        Lore.Limits own = sheet.lore().targets();
        return own == null
                ? of(sheet.data().watchClass())
                : new Targets(own.lowRate(), own.highRate(), own.spread(), own.lowestAmplitude(), own.beatError());
    }

    /** How far a rate lies outside the target, s/d; 0 inside. */
    public double rateMiss(double secondsPerDay) {
        return Math.max(0, Math.max(lowRate - secondsPerDay, secondsPerDay - highRate));
    }

    /** Words for an amplitude lying at full wind. Source: M11. */
    public static String amplitudeBand(double degrees) {
        if (degrees < 180) {
            return "very low";
        }
        if (degrees < 220) {
            return "low";
        }
        if (degrees < 250) {
            return "fair for old work";
        }
        if (degrees < 315) {
            return "healthy";
        }
        return degrees < 330 ? "high" : "risk of knocking";
    }
}
