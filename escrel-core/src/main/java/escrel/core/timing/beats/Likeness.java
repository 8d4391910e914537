package escrel.core.timing.beats;

/**
 * How alike one pattern is to windows of a series: Pearson's correlation. Sums over the series are kept from its
 * beginning, at every few values, so that a window costs one multiplication for each of its values.
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
        double size = size(pattern, from);
        return size > 0 ? Products.of(pattern.values(), series, from) / size : 0;
    }

    /**
     * How alike it is to windows next to each other.
     *
     * @param from the first of them; the last must lie within the series
     * @param into gets what {@link #of} says of each
     */
    void along(Pattern pattern, int from, double[] into) {
        Products.of(pattern.values(), series, from, into);
        for (int i = 0; i < into.length; i++) {
            double size = size(pattern, from + i);
            into[i] = size > 0 ? into[i] / size : 0;
        }
    }

    /** What their product would be, were both the same; 0 where one is flat. */
    private double size(Pattern pattern, int from) {
        int n = pattern.values().length;
        double sum = upTo(from + n) - upTo(from);
        double allSquares = squaresUpTo(from + n);
        double variance = allSquares - squaresUpTo(from) - sum * sum / n;
        // sums kept from the beginning round off: less than this is a flat window
        boolean flat = !(pattern.variance() > 0 && variance > 1e-12 * (1 + allSquares));
        return flat ? 0 : Math.sqrt(pattern.variance() * variance);
    }
}
