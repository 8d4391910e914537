package escrel.core.statistics;

import java.util.Arrays;

/**
 * How far each of a row of values lies off the straight line through its neighbours, itself left out: what wanders slowly is on
 * that line, what jumps out is not. The line is that of Theil and Sen, median slope of all pairs, which a few wild neighbours do
 * not turn. Source: Sen, Estimates of the regression coefficient based on Kendall's tau, JASA 63 (1968).
 */
final class RunningLine {
    private static final int NEIGHBOURS = 8;

    private RunningLine() {}

    /** Differences from the running line; NaN where the value or its neighbours are missing. */
    static double[] off(double[] values) {
        double[] off = new double[values.length];
        int[] near = new int[NEIGHBOURS];
        for (int i = 0; i < values.length; i++) {
            int count = neighbours(values, i, near);
            off[i] = count < 3 ? 0 * values[i] : values[i] - at(values, i, near, count);
        }
        return off;
    }

    /** The nearest values present on either side, fewer on one where the row ends. */
    private static int neighbours(double[] values, int i, int[] near) {
        int count = 0;
        for (int d = 1; d < values.length && count < NEIGHBOURS; d++) {
            if (i - d >= 0 && !Double.isNaN(values[i - d])) {
                near[count++] = i - d;
            }
            if (count < NEIGHBOURS && i + d < values.length && !Double.isNaN(values[i + d])) {
                near[count++] = i + d;
            }
        }
        return count;
    }

    private static double at(double[] values, int i, int[] near, int count) {
        double[] places = new double[count];
        double[] there = new double[count];
        for (int a = 0; a < count; a++) {
            places[a] = near[a];
            there[a] = values[near[a]];
        }
        double slope = Part.slope(places, there, count);
        return Part.zero(places, there, count, slope) + slope * i;
    }

    /**
     * The line through part of a row.
     *
     * @param slope from one value to the next
     * @param zero its height at place 0
     * @param scatter about it
     */
    record Part(double slope, double zero, double scatter) {
        /** Through the values from a place up to another, those missing left aside; NaN where there are none. */
        static Part of(double[] values, int from, int to) {
            double[] places = new double[to - from];
            double[] there = new double[to - from];
            int count = 0;
            for (int i = from; i < to; i++) {
                if (!Double.isNaN(values[i])) {
                    places[count] = i;
                    there[count++] = values[i];
                }
            }
            return through(places, there, count);
        }

        /** The middle of the values from a place up to another, however they go, and how far they lie from it on average. */
        static Part level(double[] values, int from, int to) {
            double[] there = Arrays.stream(values, from, to)
                    .filter(v -> !Double.isNaN(v))
                    .toArray();
            if (there.length == 0) {
                return new Part(0, Double.NaN, Double.NaN);
            }
            double middle = median(there, there.length);
            return new Part(
                    0,
                    middle,
                    Arrays.stream(there)
                            .map(v -> Math.abs(v - middle))
                            .average()
                            .orElse(0));
        }

        private static Part through(double[] places, double[] values, int count) {
            double slope = slope(places, values, count);
            double zero = count == 0 ? Double.NaN : zero(places, values, count, slope);
            double[] off = new double[count];
            for (int a = 0; a < count; a++) {
                off[a] = Math.abs(values[a] - slope * places[a] - zero);
            }
            return new Part(slope, zero, count == 0 ? Double.NaN : median(off, count));
        }

        private static double slope(double[] places, double[] values, int count) {
            double[] slopes = new double[count * (count - 1) / 2];
            int pairs = 0;
            for (int a = 0; a < count; a++) {
                for (int b = 0; b < a; b++) {
                    slopes[pairs++] = (values[a] - values[b]) / (places[a] - places[b]);
                }
            }
            return pairs == 0 ? 0 : median(slopes, pairs);
        }

        private static double zero(double[] places, double[] values, int count, double slope) {
            double[] zeros = new double[count];
            for (int a = 0; a < count; a++) {
                zeros[a] = values[a] - slope * places[a];
            }
            return median(zeros, count);
        }

        double at(double place) {
            return zero + slope * place;
        }
    }

    private static double median(double[] values, int count) {
        Arrays.sort(values, 0, count);
        return (values[(count - 1) / 2] + values[count / 2]) / 2;
    }
}
