package escrel.core.statistics;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Where a row of residuals changes all at once, as it does where sound was lost, and nowhere goes back. */
final class SuddenChange {
    private static final int NEIGHBOURS = 8;
    private static final int FEWEST_BESIDE = NEIGHBOURS / 2;
    private static final int BESIDE = 3;
    private static final double SIGMAS = 7;
    private static final double CALM = 0.15;
    // one for what the values span, one and a half for each of the lines
    private static final double SPANS = 4;

    private SuddenChange() {}

    /**
     * The first value after the plainest sudden change; −1 when there is none.
     *
     * @param least smaller ones are wandering
     * @param known where changes were found already
     */
    static int in(double[] residuals, double least, List<Integer> known) {
        double limit = Math.max(least, SIGMAS * differences(residuals));
        int change = largest(residuals, limit, known, NEIGHBOURS, RunningLine.Part::of);
        if (change < 0) {
            // one beside another is in its way: few beats on either side show it, too few for a line
            change = largest(residuals, limit, known, FEWEST_BESIDE, RunningLine.Part::level);
        }
        return change < 0 ? change : sharpest(residuals, change);
    }

    /** Of the places beside a change the one at which the few beats before and after differ most. */
    private static int sharpest(double[] residuals, int change) {
        int best = change;
        double most = 0;
        for (int i = Math.max(BESIDE, change - 2); i <= Math.min(residuals.length - BESIDE, change + 2); i++) {
            double before = Arrays.stream(residuals, i - BESIDE, i).average().orElse(0);
            double after = Arrays.stream(residuals, i, i + BESIDE).average().orElse(0);
            if (Math.abs(after - before) > most) {
                most = Math.abs(after - before);
                best = i;
            }
        }
        return best;
    }

    /** Scatter of a residual, from differences between neighbours, so that neither steps nor wandering count. */
    private static double differences(double[] residuals) {
        double[] differences = new double[Math.max(0, residuals.length - 1)];
        for (int i = 0; i < differences.length; i++) {
            differences[i] = residuals[i + 1] - residuals[i];
        }
        return Robust.deviation(differences) / Math.sqrt(2);
    }

    /** What lies on one side of a place, of the values from one to another. */
    private interface Side {
        RunningLine.Part of(double[] values, int from, int to);
    }

    /**
     * The first time after the largest sudden change above a limit; −1 when there is none. What comes before and after is
     * each on a line of its own, so that a wandering is no change. A step known already is not found again: while another is
     * still in one of its sides, the line through that side leaves a change there too.
     */
    private static int largest(double[] residuals, double limit, List<Integer> known, int neighbours, Side side) {
        int best = -1;
        double largest = limit;
        int length = residuals.length;
        // the part that follows one place is the part before another: each is worked out once, and only where it may
        // matter
        RunningLine.@Nullable Part[] ending = new RunningLine.@Nullable Part[length + neighbours];
        for (int i = FEWEST_BESIDE; i <= length - FEWEST_BESIDE; i++) {
            if (cannotChange(residuals, i - neighbours, i + neighbours, largest)) {
                continue;
            }
            RunningLine.Part before = ending(residuals, i, neighbours, side, ending);
            RunningLine.Part after = ending(residuals, i + neighbours, neighbours, side, ending);
            double change = Math.abs(after.at(i - 0.5) - before.at(i - 0.5));
            // only where both sides are calm enough for it to be seen
            if (change > largest && Math.max(before.scatter(), after.scatter()) < CALM * change && !isNear(i, known)) {
                largest = change;
                best = i;
            }
        }
        return best;
    }

    private static RunningLine.Part ending(
            double[] residuals, int end, int neighbours, Side side, RunningLine.@Nullable Part[] known) {
        RunningLine.Part part = known[end];
        if (part == null) {
            part = side.of(residuals, Math.max(0, end - neighbours), Math.min(residuals.length, end));
            known[end] = part;
        }
        return part;
    }

    /**
     * Whether values lie too close together for a change of some size in the middle, so that no line need be drawn through
     * them. Where none of eight is missing, fourteen of the 28 pairs are at least as steep as the median one; thirteen lie no
     * more than two places apart, so that the median rises by no more than a third of what the values span, and each line ends
     * no more than one and a half spans beyond them.
     */
    private static boolean cannotChange(double[] values, int from, int to, double size) {
        if (from < 0 || to > values.length) {
            return false;
        }
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (int i = from; i < to; i++) {
            if (Double.isNaN(values[i])) {
                return false;
            }
            low = Math.min(low, values[i]);
            high = Math.max(high, values[i]);
        }
        return SPANS * (high - low) < size;
    }

    private static boolean isNear(int i, List<Integer> known) {
        return known.stream().anyMatch(k -> Math.abs(k - i) < FEWEST_BESIDE);
    }
}
