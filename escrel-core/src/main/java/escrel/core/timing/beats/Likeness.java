package escrel.core.timing.beats;

/**
 * How alike one pattern is to windows of a series: Pearson's correlation. Sums over the series are kept from its
 * beginning, at every few values, so that a window costs one multiplication for each of its values; four partial sums let
 * the processor work on four at once.
 */
final class Likeness {
    // more is never believed: noise makes beats that are the same differ
    private static final double LARGEST = 0.98;

    // as power of two: sums at every value would be more to write than all the windows are to read
    private static final int STEP_BITS = 3;

    private final double[] series;
    private final double[] sums;
    private final double[] squares;

    Likeness(double[] series) {
        this.series = series;
        this.sums = new double[(series.length >> STEP_BITS) + 1];
        this.squares = new double[sums.length];
        for (int k = 1; k < sums.length; k++) {
            sums[k] = upTo(k - 1, k << STEP_BITS);
            squares[k] = squaresUpTo(k - 1, k << STEP_BITS);
        }
    }

    /** Sum from the beginning up to a place, which is left out. */
    private double upTo(int end) {
        return upTo(end >> STEP_BITS, end);
    }

    private double upTo(int step, int end) {
        double sum = sums[step];
        for (int i = step << STEP_BITS; i < end; i++) {
            sum += series[i];
        }
        return sum;
    }

    private double squaresUpTo(int end) {
        return squaresUpTo(end >> STEP_BITS, end);
    }

    private double squaresUpTo(int step, int end) {
        double sum = squares[step];
        for (int i = step << STEP_BITS; i < end; i++) {
            sum += series[i] * series[i];
        }
        return sum;
    }

    /**
     * How likely it is that what is so alike is the same: {@code -n/2 log(1 - ρ²)}, the logarithm of a likelihood ratio of normal values.
     *
     * @param alike from −1 to 1; below 0 counts as 0
     * @param independent n, values that say something of their own
     */
    static double logLikelihood(double alike, double independent) {
        double clipped = Math.max(0, Math.min(LARGEST, alike));
        return -0.5 * independent * Math.log(1 - clipped * clipped);
    }

    /** A pattern made ready: its mean taken away, its variance known. */
    record Pattern(double[] values, double variance) {
        /** From part of an array. */
        static Pattern of(double[] from, int begin, int length) {
            double mean = 0;
            for (int i = 0; i < length; i++) {
                mean += from[begin + i] / length;
            }
            double[] values = new double[length];
            double variance = 0;
            for (int i = 0; i < length; i++) {
                values[i] = from[begin + i] - mean;
                variance += values[i] * values[i];
            }
            return new Pattern(values, variance);
        }
    }

    /** From −1 to 1; 0 where pattern or window is flat. The window must lie within the series. */
    double of(Pattern pattern, int from) {
        double[] p = pattern.values();
        int n = p.length;
        double sum = upTo(from + n) - upTo(from);
        double allSquares = squaresUpTo(from + n);
        double variance = allSquares - squaresUpTo(from) - sum * sum / n;
        // sums kept from the beginning round off: less than this is a flat window
        if (!(pattern.variance() > 0 && variance > 1e-12 * (1 + allSquares))) {
            return 0;
        }
        double a = 0;
        double b = 0;
        double c = 0;
        double d = 0;
        int i = 0;
        for (; i + 3 < n; i += 4) {
            a += p[i] * series[from + i];
            b += p[i + 1] * series[from + i + 1];
            c += p[i + 2] * series[from + i + 2];
            d += p[i + 3] * series[from + i + 3];
        }
        for (; i < n; i++) {
            a += p[i] * series[from + i];
        }
        return (a + b + c + d) / Math.sqrt(pattern.variance() * variance);
    }
}
