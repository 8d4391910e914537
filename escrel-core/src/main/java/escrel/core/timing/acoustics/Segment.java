package escrel.core.timing.acoustics;

/**
 * One sound of the beat (unlocking or drop), followed from beat to beat: how much earlier or later than predicted it
 * comes, found by laying each beat's loudness over the common one.
 */
final class Segment {
    private static final double BEFORE_SECONDS = 0.0006;
    private static final double AFTER_SECONDS = 0.0016;
    private static final double REACH_SECONDS = 0.0005;
    private static final double SMOOTH_SECONDS = 0.00012;

    private Segment() {}

    /**
     * Shifts in seconds, one for each time; NaN inside this package only, for a beat in which the sound is not there.
     *
     * @param times predicted beginnings of this sound
     */
    static double[] shifts(float[] samples, double sampleRate, double[] times) {
        Stack common =
                Stack.of(samples, sampleRate, times, BEFORE_SECONDS + REACH_SECONDS, AFTER_SECONDS + REACH_SECONDS);
        int smooth = Math.max(1, (int) Math.round(SMOOTH_SECONDS * sampleRate)) | 1;
        double[] pattern = loudness(common.energy(), smooth);
        int reach = (int) Math.round(REACH_SECONDS * sampleRate);
        Likeness.Pattern ready = Likeness.Pattern.of(pattern, reach, pattern.length - 2 * reach);
        double[] shifts = new double[times.length];
        for (int k = 0; k < times.length; k++) {
            int from = (int) Math.round((times[k] - BEFORE_SECONDS - REACH_SECONDS) * sampleRate);
            if (from < 0 || from + pattern.length > samples.length) {
                shifts[k] = Double.NaN;
                continue;
            }
            double[] energy = new double[pattern.length];
            for (int i = 0; i < energy.length; i++) {
                energy[i] = (double) samples[from + i] * samples[from + i];
            }
            double rounding = from / sampleRate - (times[k] - BEFORE_SECONDS - REACH_SECONDS);
            shifts[k] = best(ready, loudness(energy, smooth), reach) / sampleRate + rounding;
        }
        return shifts;
    }

    private static double[] loudness(double[] energy, int smooth) {
        double[] out = Stack.smooth(energy, smooth);
        for (int i = 0; i < out.length; i++) {
            out[i] = Math.sqrt(out[i]);
        }
        return out;
    }

    /** The lag in samples at which the beat lies best over the pattern; NaN when it is nowhere like it. */
    private static double best(Likeness.Pattern pattern, double[] beat, int reach) {
        double[] likeness = new double[2 * reach + 1];
        Likeness series = new Likeness(beat);
        int top = 0;
        for (int lag = -reach; lag <= reach; lag++) {
            likeness[lag + reach] = series.of(pattern, reach + lag);
            top = likeness[lag + reach] > likeness[top] ? lag + reach : top;
        }
        if (top == 0 || top == likeness.length - 1 || likeness[top] < 0.4) {
            return Double.NaN;
        }
        double left = likeness[top - 1];
        double right = likeness[top + 1];
        double curve = left - 2 * likeness[top] + right;
        return top - reach + (curve < 0 ? (left - right) / (2 * curve) : 0);
    }
}
