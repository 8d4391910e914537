package escrel.core.timing.acoustics;

import escrel.core.quantity.BeatRate;
import escrel.core.timing.beats.BeatRateFinder;
import escrel.core.timing.beats.Envelope;
import java.util.Arrays;
import java.util.Optional;

/** Listens between the beats of a watch for another one: with the beats cut out, nothing may beat any more. */
final class SecondWatch {
    private static final double BEFORE_SECONDS = 0.003;
    // echoes of the case have died away by then
    private static final double AFTER_SECONDS = 0.022;
    private static final double CREDIBLE = 0.2;
    // what is cut out is filled from half a second around it
    private static final int BESIDE_BLOCKS = 250;
    // envelopes are logarithms of energy
    private static final double DECIBELS_PER_NEPER = 10 / Math.log(10);
    private static final int BEAT_BLOCKS = 6;
    private static final double FAINT_DECIBELS = 12;

    private SecondWatch() {}

    /**
     * Another beat.
     *
     * @param beat what is left when the beats of the watch are cut out
     * @param decibels by how much its loudest moments are softer than those of the watch, noise included
     */
    record Other(BeatRateFinder.Found beat, double decibels) {
        /** Whether it is so soft that the watch can be heard beside it. */
        boolean faint() {
            return decibels > FAINT_DECIBELS;
        }
    }

    /** The beat that is left when these beats are cut out; nothing when what is left does not beat. */
    static Optional<Other> behind(Envelope envelope, double[] unlocks, double[] drops) {
        double block = 2 * envelope.blockSeconds();
        double[] rest = envelope.inPairs();
        double loud = 0;
        boolean[] cut = new boolean[rest.length];
        for (int k = 0; k < unlocks.length; k++) {
            int from = (int) Math.floor((unlocks[k] - BEFORE_SECONDS) / block);
            int to = (int) Math.ceil((drops[k] + AFTER_SECONDS) / block);
            if (from < to && to > 0 && from < rest.length) {
                Arrays.fill(cut, Math.max(0, from), Math.min(rest.length, to), true);
                loud += loudest(rest, from, to) / unlocks.length;
            }
        }
        fill(rest, cut);
        double own = loud;
        return new BeatRateFinder(new Envelope(rest, block))
                .among(BeatRate.USUAL)
                .filter(f -> f.score() > CREDIBLE)
                .map(f -> new Other(f, DECIBELS_PER_NEPER * (own - beats(rest, cut, f.periodSeconds() / block))));
    }

    /** What was cut out gets the mean of what lies beside it, so that neither the cuts nor an uneven room beat. */
    private static void fill(double[] rest, boolean[] cut) {
        double[] sums = new double[rest.length + 1];
        int[] counts = new int[rest.length + 1];
        for (int i = 0; i < rest.length; i++) {
            sums[i + 1] = sums[i] + (cut[i] ? 0 : rest[i]);
            counts[i + 1] = counts[i] + (cut[i] ? 0 : 1);
        }
        double all = sums[rest.length] / Math.max(1, counts[rest.length]);
        for (int i = 0; i < rest.length; i++) {
            if (cut[i]) {
                int from = Math.max(0, i - BESIDE_BLOCKS);
                int to = Math.min(rest.length, i + BESIDE_BLOCKS);
                int count = counts[to] - counts[from];
                rest[i] = count == 0 ? all : (sums[to] - sums[from]) / count;
            }
        }
    }

    /** Means over what was not cut, block by block of a period. */
    private static double[] folded(double[] rest, boolean[] cut, double period) {
        double[] sum = new double[(int) period + 1];
        int[] count = new int[sum.length];
        for (int i = 0; i < rest.length; i++) {
            if (!cut[i]) {
                int at = (int) (i % period);
                sum[at] += rest[i];
                count[at]++;
            }
        }
        for (int i = 0; i < sum.length; i++) {
            sum[i] /= Math.max(1, count[i]);
        }
        return sum;
    }

    /** Mean of how loud each of its beats is at its loudest, as the watch's own are measured. */
    private static double beats(double[] rest, boolean[] cut, double period) {
        double[] fold = folded(rest, cut, period);
        int top = 0;
        for (int i = 0; i < fold.length; i++) {
            top = fold[i] > fold[top] ? i : top;
        }
        double sum = 0;
        int count = 0;
        for (double at = top; at < rest.length; at += period) {
            int middle = (int) at;
            if (!cut[middle]) {
                sum += loudest(rest, middle - BEAT_BLOCKS, middle + BEAT_BLOCKS);
                count++;
            }
        }
        return sum / Math.max(1, count);
    }

    private static double loudest(double[] values, int from, int to) {
        double loudest = 0;
        for (int i = Math.max(0, from); i < Math.min(values.length, to); i++) {
            loudest = Math.max(loudest, values[i]);
        }
        return loudest;
    }
}
