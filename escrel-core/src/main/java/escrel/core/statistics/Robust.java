package escrel.core.statistics;

import java.util.Arrays;
import org.hipparchus.util.KthSelector;

/** Mean, running median and likeness of values of which a few may be far off or missing (NaN). */
public final class Robust {
    private static final double KEPT_SIGMAS = 3;
    // three quarters of normal scatter stay below so many standard deviations
    private static final double QUARTERS_TO_SIGMA = 1.1503;
    private static final double MAD_TO_SIGMA = 1.4826;

    private static final KthSelector SELECTOR = new KthSelector();

    private Robust() {}

    /** Mean of what lies within three robust standard deviations of the median; 0 when nothing is there. */
    public static double mean(double[] values) {
        return Arrays.stream(kept(values)).average().orElse(0);
    }

    /**
     * Standard error of that mean, from blocks of neighbours, so that a slow wander or a pattern that repeats with the
     * escape wheel is not taken for independent scatter.
     */
    public static double standardErrorOfMean(double[] values) {
        double[] kept = kept(values);
        int blocks = Math.min(8, kept.length / 4);
        if (blocks < 2) {
            return 0;
        }
        double mean = Arrays.stream(kept).average().orElse(0);
        double sum = 0;
        for (int b = 0; b < blocks; b++) {
            double[] block = Arrays.copyOfRange(kept, b * kept.length / blocks, (b + 1) * kept.length / blocks);
            double off = Arrays.stream(block).average().orElse(0) - mean;
            sum += off * off;
        }
        return Math.sqrt(sum / (blocks - 1.0) / blocks);
    }

    /**
     * The median of each value and its neighbours: follows a slow wander, not the scatter of single values. 0 where all
     * of them are missing.
     *
     * @param neighbours on either side
     */
    public static double[] runningMedian(double[] values, int neighbours) {
        double[] out = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            double[] near = new double[2 * neighbours + 1];
            int count = 0;
            for (int j = Math.max(0, i - neighbours); j <= Math.min(values.length - 1, i + neighbours); j++) {
                if (!Double.isNaN(values[j])) {
                    near[count++] = values[j];
                }
            }
            Arrays.sort(near, 0, count);
            out[i] = count == 0 ? 0 : near[count / 2];
        }
        return out;
    }

    /** Robust size of what scatters about 0: what three quarters of it stay below, scaled to agree for normal scatter. */
    static double size(double[] values) {
        return sizeAt(values, 0.75) / QUARTERS_TO_SIGMA;
    }

    /**
     * The size that a share of the values stay below, whatever their sign; 0 when nothing is there.
     *
     * @param share from 0 to less than 1
     */
    static double sizeAt(double[] values, double share) {
        double[] sizes = new double[values.length];
        int count = 0;
        for (double v : values) {
            if (!Double.isNaN(v)) {
                sizes[count++] = Math.abs(v);
            }
        }
        return count == 0 ? 0 : SELECTOR.select(Arrays.copyOf(sizes, count), null, (int) (count * share));
    }

    /** Robust standard deviation: the median distance from the median, scaled to agree for normal scatter. NaN counts not. */
    public static double deviation(double[] values) {
        double[] present = Arrays.stream(values).filter(v -> !Double.isNaN(v)).toArray();
        if (present.length == 0) {
            return 0;
        }
        double median = median(present);
        return MAD_TO_SIGMA
                * median(Arrays.stream(present).map(v -> Math.abs(v - median)).toArray());
    }

    private static double[] kept(double[] values) {
        double[] present = Arrays.stream(values).filter(v -> !Double.isNaN(v)).toArray();
        if (present.length == 0) {
            return present;
        }
        double median = median(present);
        double spread = MAD_TO_SIGMA
                * median(Arrays.stream(present).map(v -> Math.abs(v - median)).toArray());
        return Arrays.stream(present)
                .filter(v -> Math.abs(v - median) <= KEPT_SIGMAS * spread + 1e-9)
                .toArray();
    }

    private static double median(double[] values) {
        return SELECTOR.select(values.clone(), null, values.length / 2);
    }
}
