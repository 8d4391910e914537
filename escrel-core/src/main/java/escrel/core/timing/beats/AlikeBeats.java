package escrel.core.timing.beats;

import java.util.Arrays;

/**
 * Lays the beats of a kind over each other, ever more exactly: each is compared with all the others at every shift, and the
 * most likely course of shifts is taken; again, with what is sharper now.
 */
final class AlikeBeats {
    // from one tick to the next
    private static final double LINK_SECONDS = 0.0005;
    private static final double FADING = 0.75;
    private static final double JITTER_SECONDS = 20e-6;

    private final int[] numbers;
    private final int[] gaps;

    /**
     * @param numbers of the beats, ascending; even for ticks
     */
    AlikeBeats(int[] numbers) {
        this.numbers = numbers;
        this.gaps = new int[numbers.length];
        for (int k = 1; k < gaps.length; k++) {
            gaps[k] = numbers[k] - numbers[k - 1];
        }
    }

    /**
     * How beats are compared.
     *
     * @param beforeSeconds what is compared begins so long before the expected time
     * @param seconds and is so long
     * @param reachSeconds how far a beat is shifted either way
     * @param centred whether only the ups and downs are compared, not the height
     * @param independent how many of a hundred values say something of their own
     * @param stepSeconds how far neighbours may differ, standard deviations to choose from
     */
    record Comparing(
            double beforeSeconds,
            double seconds,
            double reachSeconds,
            boolean centred,
            double independent,
            double[] stepSeconds) {}

    /** One round: adds to the shifts in seconds what this comparing says of them, and answers by how much
     * they moved, root mean square in seconds. */
    double improve(float[] series, double rate, double[] times, double[] shifts, Comparing how) {
        return improve(series, rate, times, shifts, how, false);
    }

    /**
     * The last round: each beat goes where it is most alike near the common course, so that its own jitter is its own again
     * and the errors of neighbours are not the same.
     */
    void finish(float[] series, double rate, double[] times, double[] shifts, Comparing how) {
        improve(series, rate, times, shifts, how, true);
    }

    private double improve(
            float[] series, double rate, double[] times, double[] shifts, Comparing how, boolean eachAlone) {
        double[] centre = new double[times.length];
        for (int k = 0; k < times.length; k++) {
            centre[k] = times[k] + shifts[k];
        }
        int reach = (int) Math.max(2, Math.round(how.reachSeconds() * rate));
        Excerpts cut = new Excerpts(
                series,
                rate,
                centre,
                (int) Math.round(how.beforeSeconds() * rate),
                (int) Math.round(how.seconds() * rate),
                reach);
        double[][] like = likelihood(cut, how);
        double[] steps = Arrays.stream(how.stepSeconds()).map(s -> s * rate).toArray();
        double moved = 0;
        int[] path = SteadyPath.through(like, gaps, steps);
        for (int k = 0; k < times.length; k++) {
            if (cut.inside(k)) {
                int place = eachAlone ? near(like[k], path[k], JITTER_SECONDS * rate) : path[k];
                double by = (place - reach + between(like[k], place) + cut.rounding(k)) / rate;
                shifts[k] += by;
                moved += by * by / times.length;
            }
        }
        return Math.sqrt(moved);
    }

    private static int near(double[] like, int course, double jitter) {
        int best = course;
        double most = Double.NEGATIVE_INFINITY;
        for (int p = 0; p < like.length; p++) {
            double off = (p - course) / jitter;
            if (like[p] - off * off / 2 > most) {
                most = like[p] - off * off / 2;
                best = p;
            }
        }
        return best;
    }

    /**
     * A first course for a sound that wanders far: each beat is laid over those just before it of its kind, so that nothing is
     * smeared by what came long before.
     */
    double[] chained(float[] series, double rate, double[] times, Comparing how) {
        int before = (int) Math.round(how.beforeSeconds() * rate);
        int length = (int) Math.round(how.seconds() * rate);
        int reach = (int) Math.round(LINK_SECONDS * rate);
        double[] shifts = new double[times.length];
        double[][] pattern = new double[2][length];
        boolean[] begun = new boolean[2];
        double[] last = new double[2];
        for (int k = 0; k < times.length; k++) {
            int half = numbers[k] & 1;
            Excerpts cut = new Excerpts(series, rate, new double[] {times[k] + last[half]}, before, length, reach);
            if (cut.inside(0)) {
                int shift = 0;
                if (begun[half]) {
                    double[] like = new double[2 * reach + 1];
                    alike(cut, 0, pattern[half].clone(), new double[length + 2 * reach], how, like);
                    shift = SteadyPath.top(like) - reach;
                }
                last[half] += (shift + cut.rounding(0)) / rate;
                double scale = 1 / Math.sqrt(cut.energy(0, shift) + 1e-20);
                for (int i = 0; i < length; i++) {
                    pattern[half][i] *= begun[half] ? FADING : 0;
                }
                cut.add(pattern[half], 0, shift, scale);
                begun[half] = true;
            }
            shifts[k] = last[half];
        }
        return shifts;
    }

    /** How likely each beat lies at each shift, by its likeness to all the others of its kind. */
    private double[][] likelihood(Excerpts cut, Comparing how) {
        double[][] sums = new double[2][cut.length()];
        double[] scale = new double[cut.count()];
        for (int k = 0; k < cut.count(); k++) {
            if (cut.inside(k)) {
                // a louder beat says no more than a softer one
                scale[k] = 1 / Math.sqrt(cut.energy(k, 0) + 1e-20);
                cut.add(sums[numbers[k] & 1], k, 0, scale[k]);
            }
        }
        double[][] like = new double[cut.count()][2 * cut.reach() + 1];
        double[] others = new double[cut.length()];
        double[] around = new double[cut.length() + 2 * cut.reach()];
        for (int k = 0; k < cut.count(); k++) {
            if (cut.inside(k)) {
                System.arraycopy(sums[numbers[k] & 1], 0, others, 0, others.length);
                // not to itself: noise would hold it where it is
                cut.add(others, k, 0, -scale[k]);
                alike(cut, k, others, around, how, like[k]);
            }
        }
        return like;
    }

    /**
     * How likely a beat lies at each shift.
     *
     * @param pattern of which its mean may be taken away here
     * @param around room for the beat and what is around it
     */
    private static void alike(Excerpts cut, int beat, double[] pattern, double[] around, Comparing how, double[] into) {
        int n = cut.length();
        if (how.centred()) {
            double mean = Arrays.stream(pattern).sum() / n;
            for (int i = 0; i < n; i++) {
                pattern[i] -= mean;
            }
        }
        double size = 0;
        for (double p : pattern) {
            size += p * p;
        }
        double energy = cut.energy(beat, -cut.reach());
        double sum = how.centred() ? cut.sum(beat, -cut.reach()) : 0;
        cut.around(beat, around);
        Products.of(pattern, around, 0, into);
        for (int place = 0; place < into.length; place++) {
            double variance = energy - sum * sum / n;
            double alike = into[place] / (Math.sqrt(size * Math.max(0, variance)) + 1e-20);
            into[place] = Likeness.logLikelihood(alike, how.independent() / 100 * n);
            if (place + 1 < into.length) {
                // the next window has one value more at its end and one less at its beginning
                double gone = around[place];
                double come = around[place + n];
                energy += come * come - gone * gone;
                sum += how.centred() ? come - gone : 0;
            }
        }
    }

    /** Where between its neighbours the top of a parabola lies, −0.5 to 0.5 places. */
    private static double between(double[] values, int top) {
        if (top == 0 || top == values.length - 1) {
            return 0;
        }
        double curve = values[top - 1] - 2 * values[top] + values[top + 1];
        double off = curve < 0 ? (values[top - 1] - values[top + 1]) / (2 * curve) : 0;
        return Math.max(-0.5, Math.min(0.5, off));
    }
}
