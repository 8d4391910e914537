package escrel.core.timing.beats;

import java.util.Arrays;

/**
 * The most likely course of a shift from beat to beat: each beat says how likely every shift is, and neighbours seldom differ
 * by much. How much they may differ is not known beforehand; of several steadinesses the one is taken under which all beats
 * together are the most likely. A sound too faint to be placed in any single beat is so placed by its neighbours. Source:
 * Viterbi's algorithm, Rabiner, A Tutorial on Hidden Markov Models, Proc. IEEE 77 (1989), section III B.
 */
final class SteadyPath {
    /** A beat may lie anywhere after a jump: sound that was lost, a knock. It costs as much as 5 standard steps. */
    private static final double JUMP = 12.5;

    private SteadyPath() {}

    /**
     * The place of each beat.
     *
     * @param likelihood for each beat and place, its logarithm
     * @param gaps beats from the one before to this one, 1 when none is missing; that of the first counts for nothing
     * @param steps how far neighbours may differ, standard deviations in places, above 0
     */
    static int[] through(double[][] likelihood, int[] gaps, double[] steps) {
        int[] best = {};
        double most = Double.NEGATIVE_INFINITY;
        for (double step : steps) {
            Course course = new Course(likelihood, gaps, step);
            if (course.likelihood > most) {
                most = course.likelihood;
                best = course.places();
            }
        }
        return best;
    }

    private static final class Course {
        private final int[][] from;
        private final int last;
        final double likelihood;

        Course(double[][] like, int[] gaps, double step) {
            int beats = like.length;
            int places = like[0].length;
            from = new int[beats][places];
            double[] sum = like[0].clone();
            double[] next = new double[places];
            for (int k = 1; k < beats; k++) {
                double wide = step * Math.sqrt(Math.max(1, gaps[k]));
                spread(sum, next, from[k], wide);
                double norm = Math.log(wide);
                for (int p = 0; p < places; p++) {
                    next[p] += like[k][p] - norm;
                }
                double[] free = sum;
                sum = next;
                next = free;
            }
            last = top(sum);
            likelihood = sum[last];
        }

        /** What each place is worth reached from the best one, and which that is. Only what is worth more than a jump is tried. */
        private static void spread(double[] sum, double[] next, int[] origin, double wide) {
            int top = top(sum);
            double jumped = sum[top] - JUMP;
            Arrays.fill(next, jumped);
            Arrays.fill(origin, top);
            double curve = 1 / (2 * wide * wide);
            for (int q = 0; q < sum.length; q++) {
                if (sum[q] > jumped) {
                    int reach = (int) (wide * Math.sqrt(2 * (sum[q] - jumped)));
                    int end = Math.min(sum.length - 1, q + reach);
                    for (int p = Math.max(0, q - reach); p <= end; p++) {
                        double value = sum[q] - (p - q) * (p - q) * curve;
                        if (value > next[p]) {
                            next[p] = value;
                            origin[p] = q;
                        }
                    }
                }
            }
        }

        int[] places() {
            int[] out = new int[from.length];
            out[from.length - 1] = last;
            for (int k = from.length - 1; k > 0; k--) {
                out[k - 1] = from[k][out[k]];
            }
            return out;
        }
    }

    /** Index of the greatest, the first of equals. */
    static int top(double[] values) {
        int top = 0;
        for (int i = 1; i < values.length; i++) {
            top = values[i] > values[top] ? i : top;
        }
        return top;
    }
}
