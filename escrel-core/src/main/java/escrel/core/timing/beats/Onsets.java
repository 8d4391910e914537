package escrel.core.timing.beats;

/** Finds where a sound begins in a stack, to a fraction of a sample, by running its rise back to the quiet before it. */
final class Onsets {
    private static final double SMOOTH_SECONDS = 0.00009;
    private static final double RISE_SECONDS = 0.0004;
    private static final double PART_OF_RISE = 0.5;
    // from the beginning to half the height, with jitter and the filter's own time
    private static final double LONGEST_RISE_SECONDS = 0.0003;

    private Onsets() {}

    /**
     * The beginning of a sound near a rise, in seconds relative to the beat's time. The energy is the quiet before, and
     * from the beginning on the quiet plus a loudness that grows in a straight line, {@code q + (a (t − t₀))²}; t₀ and a
     * are those with the least squares of the logarithm, over the quiet and the first part of the rise.
     */
    static double beginning(Stack stack, double nearSeconds) {
        double rate = stack.sampleRate();
        double[] energy = Stack.smooth(stack.energy(), Math.max(1, (int) Math.round(rate * SMOOTH_SECONDS)) | 1);
        int near = stack.index(nearSeconds);
        int rise = (int) Math.round(RISE_SECONDS * rate);
        int top = near;
        for (int i = Math.max(0, near - rise / 4); i < Math.min(energy.length, near + rise); i++) {
            top = energy[i] > energy[top] ? i : top;
        }
        double quiet = 0;
        int quietFrom = Math.max(0, near - 2 * rise);
        int quietTo = Math.max(quietFrom + 1, near - rise / 2);
        for (int i = quietFrom; i < quietTo; i++) {
            quiet += energy[i] / (quietTo - quietFrom);
        }
        quiet = Math.max(quiet, energy[top] * 1e-6);
        double height = loudness(energy[top], quiet);
        int high = (int) Math.ceil(crossing(energy, quiet, top, PART_OF_RISE * height));
        return stack.seconds(
                fit(energy, quiet, quietFrom, high, LONGEST_RISE_SECONDS * rate, loudness(energy[high], quiet)));
    }

    private static double fit(
            double[] energy, double quiet, int from, int high, double longest, double loudnessAtHigh) {
        double[] logs = new double[high + 1];
        for (int i = from; i <= high; i++) {
            logs[i] = Math.log(Math.max(energy[i], quiet * 1e-3));
        }
        double best = Double.MAX_VALUE;
        double begin = high;
        for (double t0 = Math.max(from, high - longest); t0 < high - 0.2; t0 += 0.2) {
            for (double steep = 0.5; steep <= 2.01; steep *= 1.15) {
                double a = steep * loudnessAtHigh / (high - t0);
                double sum = 0;
                for (int i = from; i <= high && sum < best; i++) {
                    double x = Math.max(0, a * (i - t0));
                    double off = logs[i] - Math.log(quiet + x * x);
                    sum += off * off;
                }
                if (sum < best) {
                    best = sum;
                    begin = t0;
                }
            }
        }
        return begin;
    }

    private static double loudness(double energy, double quiet) {
        return Math.sqrt(Math.max(0, energy - quiet));
    }

    /** Walks back from a place until the loudness falls below a level; the crossing lies between two samples. */
    private static double crossing(double[] energy, double quiet, int from, double level) {
        int i = from;
        while (i > 0 && loudness(energy[i], quiet) > level) {
            i--;
        }
        double below = loudness(energy[i], quiet);
        double above = i + 1 < energy.length ? loudness(energy[i + 1], quiet) : below;
        return above > below ? i + (level - below) / (above - below) : i;
    }
}
