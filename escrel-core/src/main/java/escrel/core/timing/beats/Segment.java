package escrel.core.timing.beats;

import escrel.core.statistics.Robust;
import java.util.Arrays;

/**
 * One sound of the beat (unlocking or drop), followed from beat to beat: how much earlier or later than predicted it
 * comes, found by laying each beat's loudness over the common one.
 */
final class Segment {
    private static final double BEFORE_SECONDS = 0.0006;
    private static final double AFTER_SECONDS = 0.0016;
    private static final double REACH_SECONDS = 0.0005;
    private static final double SMOOTH_SECONDS = 0.00012;

    private static final int[] BLOCKS = {1, 4, 12};
    private static final double ENOUGH = 0.7;

    private Segment() {}

    /**
     * Shifts in seconds, one for each time; NaN inside this package only, for a beat in which the sound is not there.
     * A sound too faint to be followed from beat to beat is followed in ever larger blocks of neighbours; one that is
     * too faint even for that is taken to lie where predicted.
     *
     * @param times predicted beginnings of this sound
     */
    static double[] shifts(float[] samples, double sampleRate, double[] times) {
        for (int block : BLOCKS) {
            double[] shifts = shifts(samples, sampleRate, times, block);
            long there = Arrays.stream(shifts).filter(s -> !Double.isNaN(s)).count();
            if (there >= ENOUGH * times.length) {
                return block == 1 ? shifts : filled(shifts);
            }
        }
        return new double[times.length];
    }

    /** Blocks without a shift take that of their neighbours. */
    private static double[] filled(double[] shifts) {
        double[] calm = Robust.runningMedian(shifts, BLOCKS[BLOCKS.length - 1] * 2);
        double[] out = shifts.clone();
        for (int i = 0; i < out.length; i++) {
            out[i] = Double.isNaN(out[i]) ? calm[i] : out[i];
        }
        return out;
    }

    private static double[] shifts(float[] samples, double sampleRate, double[] times, int block) {
        Stack common =
                Stack.of(samples, sampleRate, times, BEFORE_SECONDS + REACH_SECONDS, AFTER_SECONDS + REACH_SECONDS);
        int smooth = Math.max(1, (int) Math.round(SMOOTH_SECONDS * sampleRate)) | 1;
        double[] pattern = loudness(common.energy(), smooth);
        int reach = (int) Math.round(REACH_SECONDS * sampleRate);
        Likeness.Pattern ready = Likeness.Pattern.of(pattern, reach, pattern.length - 2 * reach);
        double[] shifts = new double[times.length];
        for (int first = 0; first < times.length; first += block) {
            int end = Math.min(times.length, first + block);
            double[] energy = new double[pattern.length];
            double rounding = 0;
            int used = 0;
            for (int k = first; k < end; k++) {
                double begin = times[k] - BEFORE_SECONDS - REACH_SECONDS;
                int from = (int) Math.round(begin * sampleRate);
                if (from >= 0 && from + pattern.length <= samples.length) {
                    used++;
                    rounding += from / sampleRate - begin;
                    for (int i = 0; i < energy.length; i++) {
                        energy[i] += (double) samples[from + i] * samples[from + i];
                    }
                }
            }
            double shift = used == 0
                    ? Double.NaN
                    : best(ready, loudness(energy, smooth), reach) / sampleRate + rounding / used;
            Arrays.fill(shifts, first, end, shift);
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
