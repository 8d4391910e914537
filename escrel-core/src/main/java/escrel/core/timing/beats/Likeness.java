package escrel.core.timing.beats;

/**
 * How alike one pattern is to windows of a series: Pearson's correlation. Sums over the series are kept from its
 * beginning, so that a window costs one multiplication for each of its values; four partial sums let the processor work
 * on four at once.
 */
final class Likeness {
    // more is never believed: noise makes beats that are the same differ
    private static final double LARGEST = 0.98;

    private final double[] series;
    private final double[] sums;
    private final double[] squares;

    Likeness(double[] series) {
        this.series = series;
        this.sums = new double[series.length + 1];
        this.squares = new double[series.length + 1];
        for (int i = 0; i < series.length; i++) {
            sums[i + 1] = sums[i] + series[i];
            squares[i + 1] = squares[i] + series[i] * series[i];
        }
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
        double sum = sums[from + n] - sums[from];
        double variance = squares[from + n] - squares[from] - sum * sum / n;
        // sums kept from the beginning round off: less than this is a flat window
        if (!(pattern.variance() > 0 && variance > 1e-12 * (1 + squares[from + n]))) {
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
