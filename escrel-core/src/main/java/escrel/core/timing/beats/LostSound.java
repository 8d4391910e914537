package escrel.core.timing.beats;

import java.util.Arrays;

/**
 * By how much later the beats lie than a steady period says, from place to place: where a recorder or a browser loses sound, all that
 * follows comes earlier, by a few milliseconds or by half a beat. Blocks of two swings are folded over the beat and compared with all of
 * them laid over each other; the most likely course of shifts is taken, in which a jump costs much. A loss is found as it lies within
 * half a beat either way; one of more looks like one of less by a whole beat, so that ticks then count as tocks.
 */
final class LostSound {
    private static final int SWINGS = 2;
    // coarse: what is left is found by following the beats one by one
    private static final double BIN_SECONDS = 0.002;
    private static final int ROUNDS = 2;
    // blocks scatter by no more than this beside a jump
    private static final double[] STEADY_BINS = {1};
    // of the bins of a fold so many say something of their own: a beat is loud over some of them
    private static final double INDEPENDENT = 0.2;
    // less is within reach of following the beats one by one
    private static final double LEAST_SECONDS = 0.004;

    private LostSound() {}

    /**
     * Seconds by which each block of sound comes later than the first; nothing where none jumps.
     *
     * @param perBlock shifts, ascending in time
     * @param blockSeconds how long each block is
     */
    record Shifts(double[] perBlock, double blockSeconds) {
        static final Shifts NONE = new Shifts(new double[] {0}, 1);

        /** The largest of them, either way. */
        double largest() {
            return Arrays.stream(perBlock).map(Math::abs).max().orElse(0);
        }

        /** When is heard what lies at a time by a steady period. */
        double heard(double steady) {
            double heard = steady;
            // shifts are known by when something is heard: from there back, until both fit
            for (int round = 0; round < perBlock.length && heard != steady + at(heard); round++) {
                heard = steady + at(heard);
            }
            return heard;
        }

        /** Where by a steady period lies what is heard at a time. */
        double steady(double heard) {
            return heard - at(heard);
        }

        /** The shift of what is heard at a time. */
        double at(double seconds) {
            int block = (int) (seconds / blockSeconds);
            return perBlock[Math.max(0, Math.min(perBlock.length - 1, block))];
        }
    }

    /** Looks through an envelope. */
    static Shifts in(Envelope envelope, double period) {
        // tick and tock look alike: they are laid over each other
        double beat = period / 2;
        int bins = Math.max(8, (int) Math.round(beat / BIN_SECONDS));
        double blockSeconds = SWINGS * period;
        int blocks = (int) (envelope.seconds() / blockSeconds);
        if (blocks < 3) {
            return Shifts.NONE;
        }
        double[][] folds = new double[blocks][];
        for (int b = 0; b < blocks; b++) {
            folds[b] = folded(envelope, beat, bins, b * blockSeconds, blockSeconds);
        }
        int[] gaps = new int[blocks];
        Arrays.fill(gaps, 1);
        int[] shifts = new int[blocks];
        double[][] likelihood = new double[blocks][];
        for (int round = 0; round < ROUNDS; round++) {
            double[] all = round == 0 ? folds[clearest(folds)].clone() : together(folds, shifts);
            for (int b = 0; b < blocks; b++) {
                likelihood[b] = likelihood(folds[b], all);
            }
            shifts = SteadyPath.through(likelihood, gaps, STEADY_BINS);
        }
        return unwrapped(shifts, bins, beat, blockSeconds);
    }

    /** The block in which the beats stand out most: a first pattern that no jump has smeared. */
    private static int clearest(double[][] folds) {
        int best = 0;
        double most = -1;
        for (int b = 0; b < folds.length; b++) {
            double size = Arrays.stream(folds[b]).map(v -> v * v).sum();
            if (size > most) {
                most = size;
                best = b;
            }
        }
        return best;
    }

    /** A block folded over the beat, its own mean taken away. */
    private static double[] folded(Envelope envelope, double beat, int bins, double from, double seconds) {
        double[] fold = envelope.folded(beat, bins, from, from + seconds, heard -> heard);
        double mean = Arrays.stream(fold).average().orElse(0);
        for (int i = 0; i < bins; i++) {
            fold[i] -= mean;
        }
        return fold;
    }

    private static double[] together(double[][] folds, int[] shifts) {
        int bins = folds[0].length;
        double[] all = new double[bins];
        for (int b = 0; b < folds.length; b++) {
            for (int i = 0; i < bins; i++) {
                all[i] += folds[b][(i + shifts[b]) % bins];
            }
        }
        return all;
    }

    /** How likely a block lies later than the pattern, by every number of bins around the beat. */
    private static double[] likelihood(double[] fold, double[] pattern) {
        int bins = fold.length;
        double sizes = Math.sqrt(Arrays.stream(fold).map(v -> v * v).sum()
                * Arrays.stream(pattern).map(v -> v * v).sum());
        double[] out = new double[bins];
        for (int shift = 0; shift < bins; shift++) {
            double product = 0;
            for (int i = 0; i < bins; i++) {
                int at = i + shift;
                product += pattern[i] * fold[at < bins ? at : at - bins];
            }
            out[shift] = Likeness.logLikelihood(product / (sizes + 1e-20), INDEPENDENT * bins);
        }
        return out;
    }

    /** Bins the shorter way around. */
    private static int around(int step, int bins) {
        return step - bins * Math.round((float) step / bins);
    }

    /** Each block as near to the one before as going around the beat allows. */
    private static Shifts unwrapped(int[] shifts, int bins, double beat, double blockSeconds) {
        double[] out = new double[shifts.length];
        boolean jumps = false;
        for (int b = 1; b < shifts.length; b++) {
            double step = around(shifts[b] - shifts[b - 1], bins) * beat / bins;
            boolean jump = Math.abs(step) > LEAST_SECONDS;
            out[b] = out[b - 1] + (jump ? step : 0);
            jumps |= jump;
        }
        return jumps ? new Shifts(out, blockSeconds) : Shifts.NONE;
    }
}
