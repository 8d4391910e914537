package escrel.core.timing.comparison;

import escrel.core.quantity.Measured;
import java.util.function.DoubleUnaryOperator;

/**
 * Before against after for one figure in one position.
 *
 * @param change after less before
 * @param standardError of the change: both readings' own doubt and the repeatability, in quadrature
 * @param narrowed how much the width of a typed range shrank; 0 unless both are ranges
 */
public record Difference(
        Measured before, Measured after, double change, double standardError, double narrowed, Verdict verdict) {
    /** Standard errors beyond which a difference counts as a change. Source: M10. */
    public static final double STANDARD_ERRORS = 2;

    /**
     * Compares two readings of one figure.
     *
     * @param repeatability of laying the watch down, one standard deviation in the figure's unit; it goes in once for
     *     each of the two layings
     * @param badness how bad a value is, 0 for on target; better means less of it
     */
    static Difference of(Measured before, Measured after, double repeatability, DoubleUnaryOperator badness) {
        double change = after.value() - before.value();
        double error = Math.sqrt(
                before.doubt() * before.doubt() + after.doubt() * after.doubt() + 2 * repeatability * repeatability);
        double narrowed = before.isRange() && after.isRange() ? 2 * (before.doubt() - after.doubt()) : 0;
        return new Difference(
                before, after, change, error, narrowed, judge(before, after, change, error, narrowed, badness));
    }

    private static Verdict judge(
            Measured before,
            Measured after,
            double change,
            double error,
            double narrowed,
            DoubleUnaryOperator badness) {
        if (Math.abs(change) <= STANDARD_ERRORS * error) {
            // the middle did not move; a range that clearly narrowed or widened is a change of its own
            if (Math.abs(narrowed) > STANDARD_ERRORS * error) {
                return narrowed > 0 ? Verdict.BETTER : Verdict.WORSE;
            }
            return Verdict.NO_CHANGE;
        }
        double was = badness.applyAsDouble(before.value());
        double is = badness.applyAsDouble(after.value());
        if (was == is) {
            return Verdict.STILL_ON_TARGET;
        }
        return is < was ? Verdict.BETTER : Verdict.WORSE;
    }
}
