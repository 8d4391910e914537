package escrel.core.timing.comparison;

import escrel.core.quantity.Measured;
import java.util.EnumSet;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;

/**
 * Before against after for one figure in one position.
 *
 * @param change after less before
 * @param standardError of the change: both readings' own doubt, the repeatability of each laying and the doubt of unlike
 *     clocks, in quadrature
 * @param narrowed how much the wandering shrank: width before less width after; 0 where neither wandered
 */
public record Difference(
        Measured before, Measured after, double change, double standardError, double narrowed, Verdict verdict) {
    /** Standard errors beyond which a difference counts as a change. Source: M10. */
    public static final double STANDARD_ERRORS = 2;

    /** A laying moves a change by a good half of its standard error: so near the limit, one more may put it on the other side. */
    private static final double NEAR_STANDARD_ERRORS = 0.5;

    /** Values tried between a bound and its far end: enough to meet every piece of a badness of three pieces. */
    private static final int TRIED = 24;

    /**
     * What a figure is judged by.
     *
     * @param repeatability of laying the watch down, one standard deviation in the figure's unit; it goes in once for
     *     each of the two layings
     * @param badness distance to the target band, 0 inside
     * @param leastWidthDoubt doubt of a width at least. Source: M10 (1 s/d, 3°, 0.1 ms)
     * @param lowest no value lies below
     * @param highest no value lies above
     */
    record Yardstick(
            double repeatability, DoubleUnaryOperator badness, double leastWidthDoubt, double lowest, double highest) {}

    /**
     * Compares two readings of one figure.
     *
     * @param widthBefore how far it wandered before: span of a range or of repeated readings, 0 for a single one
     * @param widthAfter the same, after
     * @param clocks doubt of the two clocks together where they differ, in the figure's unit; 0 where they cancel
     */
    static Difference of(
            Measured before,
            Measured after,
            double widthBefore,
            double widthAfter,
            double clocks,
            Yardstick yardstick) {
        double change = after.value() - before.value();
        double laid = yardstick.repeatability();
        double error = Math.sqrt(before.standardError() * before.standardError()
                + after.standardError() * after.standardError()
                + 2 * laid * laid
                + clocks * clocks);
        Verdict verdict = before.isBound() || after.isBound()
                ? decidedByBounds(before, after, error, yardstick)
                : judge(before.value(), after.value(), error, yardstick.badness());
        if (verdict == Verdict.NO_CHANGE) {
            verdict = wander(widthBefore, widthAfter, yardstick.leastWidthDoubt());
        }
        return new Difference(before, after, change, error, widthBefore - widthAfter, verdict);
    }

    /**
     * Whether the change lies so near the limit of the noise that laying the watch down once more may turn the verdict: within half a
     * standard error of it. Changes that were not taken alike, and bounds, are near nothing.
     */
    public boolean isNearTheNoise() {
        double sizes = Math.abs(change) / standardError;
        return verdict != Verdict.UNLIKE
                && !before.isBound()
                && !after.isBound()
                && Math.abs(sizes - STANDARD_ERRORS) < NEAR_STANDARD_ERRORS;
    }

    /** The two as they are, without a judgement: they were not taken alike. */
    Difference unlike() {
        return new Difference(before, after, change, standardError, narrowed, Verdict.UNLIKE);
    }

    /** Source: M10, verdict. */
    private static Verdict judge(double before, double after, double error, DoubleUnaryOperator badness) {
        double noise = STANDARD_ERRORS * error;
        if (Math.abs(after - before) <= noise) {
            return Verdict.NO_CHANGE;
        }
        double was = badness.applyAsDouble(before);
        double is = badness.applyAsDouble(after);
        if (was == 0 && is == 0) {
            return Verdict.STILL_ON_TARGET;
        }
        if (Math.abs(is - was) <= noise) {
            return Verdict.MOVED;
        }
        return is < was ? Verdict.BETTER : Verdict.WORSE;
    }

    /** Source: M10, wandering. */
    private static Verdict wander(double widthBefore, double widthAfter, double least) {
        double was = Math.max(0.2 * widthBefore, least);
        double is = Math.max(0.2 * widthAfter, least);
        if (Math.abs(widthBefore - widthAfter) <= STANDARD_ERRORS * Math.hypot(was, is)) {
            return Verdict.NO_CHANGE;
        }
        return widthAfter < widthBefore ? Verdict.STEADIER : Verdict.LESS_STEADY;
    }

    /** A bound takes part only where it decides: where every value it leaves open says the same. */
    private static Verdict decidedByBounds(Measured before, Measured after, double error, Yardstick yardstick) {
        Set<Verdict> said = EnumSet.noneOf(Verdict.class);
        for (int i = 0; i <= TRIED; i++) {
            for (int j = 0; j <= TRIED; j++) {
                said.add(judge(
                        possible(before, i, yardstick), possible(after, j, yardstick), error, yardstick.badness()));
            }
        }
        return said.size() == 1 ? said.iterator().next() : Verdict.CANNOT_TELL;
    }

    private static double possible(Measured value, int step, Yardstick yardstick) {
        double far = switch (value.kind()) {
            case ABOVE -> Math.max(yardstick.highest(), value.value());
            case BELOW -> Math.min(yardstick.lowest(), value.value());
            default -> value.value();
        };
        return value.value() + (far - value.value()) * step / TRIED;
    }
}
