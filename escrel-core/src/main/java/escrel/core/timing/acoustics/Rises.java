package escrel.core.timing.acoustics;

import java.util.ArrayList;
import java.util.List;

/**
 * Finds where sounds begin in the beats of one kind. Not how loud a rise is decides, but whether it comes back: each
 * beat's energy after a place is compared with that before it, and the mean difference with its standard error over the
 * beats. So an unlocking ten times fainter than the drop is found in noise that hides it in any single beat.
 */
final class Rises {
    private static final double COMPARE_SECONDS = 0.0004;
    private static final double HOP_SECONDS = 0.00005;
    private static final double CERTAIN = 3.5;
    // a knock in one beat counts for no more than this many mean sizes
    private static final double KNOCK = 5;

    private Rises() {}

    /** All rises of these beats, in order of time. */
    static List<Rise> in(float[] samples, double[] times, Stack stack) {
        double rate = stack.sampleRate();
        int window = Math.max(4, (int) Math.round(COMPARE_SECONDS * rate));
        int hop = Math.max(1, (int) Math.round(HOP_SECONDS * rate));
        double[] sums = sums(stack.energy());
        double floor = stack.floor();
        int places = Math.max(0, (stack.energy().length - 2 * window) / hop + 1);
        double[] sharpness = new double[places];
        double[] after = new double[places];
        double loudest = 0;
        for (int p = 0; p < places; p++) {
            int i = window + p * hop;
            double before = (sums[i] - sums[i - window]) / window;
            after[p] = (sums[i + window] - sums[i]) / window;
            // a tenth of the floor's own height keeps the ratio of two quiet stretches calm
            sharpness[p] = Math.log((after[p] + 0.1 * floor) / (before + 0.1 * floor));
            loudest = Math.max(loudest, after[p] - floor);
        }
        double[][] differences = differences(samples, times, stack, window, hop, places);
        List<Rise> rises = new ArrayList<>();
        for (int p = 0; p < places; p++) {
            if (sharpness[p] > 0 && isPeak(sharpness, p, window / hop)) {
                double certainty = certainty(differences, p);
                if (certainty > CERTAIN) {
                    rises.add(new Rise(
                            stack.seconds(window + p * hop), sharpness[p], (after[p] - floor) / loudest, certainty));
                }
            }
        }
        return rises;
    }

    private static double[] sums(double[] values) {
        double[] sums = new double[values.length + 1];
        for (int i = 0; i < values.length; i++) {
            sums[i + 1] = sums[i] + values[i];
        }
        return sums;
    }

    /** For each beat within the recording, energy after less energy before each place. */
    private static double[][] differences(
            float[] samples, double[] times, Stack stack, int window, int hop, int places) {
        int length = stack.energy().length;
        List<double[]> all = new ArrayList<>(times.length);
        double[] sums = new double[length + 1];
        for (double time : times) {
            int from = (int) Math.round((time - stack.beforeSeconds()) * stack.sampleRate());
            if (from < 0 || from + length > samples.length) {
                continue;
            }
            for (int i = 0; i < length; i++) {
                sums[i + 1] = sums[i] + (double) samples[from + i] * samples[from + i];
            }
            double[] difference = new double[places];
            for (int p = 0; p < places; p++) {
                int i = window + p * hop;
                difference[p] = sums[i + window] - 2 * sums[i] + sums[i - window];
            }
            all.add(difference);
        }
        return all.toArray(double[][]::new);
    }

    /** Mean difference in standard errors of the mean; single large ones are cut down first. */
    private static double certainty(double[][] differences, int place) {
        int n = differences.length;
        double size = 0;
        for (double[] difference : differences) {
            size += Math.abs(difference[place]) / n;
        }
        double sum = 0;
        double squares = 0;
        for (double[] difference : differences) {
            double d = Math.max(-KNOCK * size, Math.min(KNOCK * size, difference[place]));
            sum += d;
            squares += d * d;
        }
        double variance = (squares - sum * sum / n) / Math.max(1, n - 1);
        return n < 4 || !(variance > 0) ? 0 : sum / n / Math.sqrt(variance / n);
    }

    private static boolean isPeak(double[] values, int at, int reach) {
        for (int i = Math.max(0, at - reach); i <= Math.min(values.length - 1, at + reach); i++) {
            if (values[i] > values[at] || (values[i] == values[at] && i < at)) {
                return false;
            }
        }
        return true;
    }
}
