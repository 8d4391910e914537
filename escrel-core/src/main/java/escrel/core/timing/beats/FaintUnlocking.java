package escrel.core.timing.beats;

import java.util.Arrays;
import java.util.OptionalDouble;

/**
 * Looks for an unlocking too faint for its loudness to show: where no impulse is heard between the sounds taken for unlocking
 * and drop, the first of them may be the impulse itself, and the unlocking lies half as far again before it. Beats laid over each
 * other wave upon wave leave the noise behind, in ticks and in tocks at the same distance, and in every part of the recording:
 * a stretch of beats laid beside the others, where sound was lost, has sounds there too, but only that stretch.
 */
final class FaintUnlocking {
    private static final double NEAREST = 0.32;
    private static final double FARTHEST = 0.72;
    private static final double WINDOW_SECONDS = 0.0008;
    private static final double HOP_SECONDS = 0.0001;
    // before everything a beat can hold
    private static final double QUIET_FROM = 1.3;
    private static final double QUIET_TO = 0.85;
    // times the power of the quiet: in both halves together, and in each
    private static final double BOTH = 5;
    private static final double EACH = 1.4;
    private static final int PARTS = 3;
    // a third of the beats leaves three times the noise: what is five times in all of them is about twice in a third
    private static final double IN_EACH_PART = 1.6;

    private FaintUnlocking() {}

    /**
     * How long before the sound taken for unlocking another one begins, seconds; nothing where none is heard.
     *
     * @param tick times of the sound taken for unlocking in ticks
     * @param tock the same in tocks
     * @param liftSeconds from there to the drop
     */
    static OptionalDouble ahead(float[] samples, double sampleRate, double[] tick, double[] tock, double liftSeconds) {
        double[] first = louderThanQuiet(samples, sampleRate, tick, liftSeconds);
        double[] second = louderThanQuiet(samples, sampleRate, tock, liftSeconds);
        double[] least = leastOfParts(samples, sampleRate, tick, tock, liftSeconds);
        double best = BOTH;
        int at = -1;
        for (int h = 0; h < first.length; h++) {
            boolean throughout = first[h] > EACH && second[h] > EACH && least[h] > IN_EACH_PART;
            if (throughout && first[h] * second[h] > best) {
                best = first[h] * second[h];
                at = h;
            }
        }
        return at < 0 ? OptionalDouble.empty() : OptionalDouble.of(FARTHEST * liftSeconds - at * HOP_SECONDS);
    }

    /** The same of ticks and tocks together, in the part of the recording in which it is least. */
    private static double[] leastOfParts(
            float[] samples, double sampleRate, double[] tick, double[] tock, double liftSeconds) {
        double[] least = {};
        for (int part = 0; part < PARTS; part++) {
            double[] first = louderThanQuiet(samples, sampleRate, part(tick, part), liftSeconds);
            double[] second = louderThanQuiet(samples, sampleRate, part(tock, part), liftSeconds);
            least = part == 0 ? new double[first.length] : least;
            for (int h = 0; h < first.length; h++) {
                double here = first[h] * second[h];
                least[h] = part == 0 ? here : Math.min(least[h], here);
            }
        }
        return least;
    }

    private static double[] part(double[] times, int part) {
        return Arrays.copyOfRange(times, part * times.length / PARTS, (part + 1) * times.length / PARTS);
    }

    /** Power of the mean wave against that of the quiet, from the farthest place on, hop by hop. */
    private static double[] louderThanQuiet(float[] samples, double sampleRate, double[] times, double lift) {
        int before = (int) Math.round(QUIET_FROM * lift * sampleRate);
        Excerpts cut = new Excerpts(samples, sampleRate, times, before, before, 0);
        double[] mean = new double[before];
        for (int k = 0; k < times.length; k++) {
            if (cut.inside(k)) {
                cut.add(mean, k, 0, 1 / Math.sqrt(cut.energy(k, 0) + 1e-20));
            }
        }
        double[] sums = new double[before + 1];
        for (int i = 0; i < before; i++) {
            sums[i + 1] = sums[i] + mean[i] * mean[i];
        }
        int quietTo = (int) Math.round((QUIET_FROM - QUIET_TO) * lift * sampleRate);
        double quiet = sums[quietTo] / Math.max(1, quietTo) + 1e-30;
        int window = (int) Math.round(WINDOW_SECONDS * sampleRate);
        int hops = (int) ((FARTHEST - NEAREST) * lift / HOP_SECONDS);
        double[] out = new double[Math.max(0, hops)];
        for (int h = 0; h < out.length; h++) {
            int from = (int) Math.round(((QUIET_FROM - FARTHEST) * lift + h * HOP_SECONDS) * sampleRate);
            out[h] = from + window > before ? 0 : (sums[from + window] - sums[from]) / window / quiet;
        }
        return out;
    }
}
