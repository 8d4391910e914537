package escrel.core.timing.beats;

import escrel.core.statistics.Robust;
import escrel.core.statistics.RobustLine;
import java.util.Arrays;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Follows the beats through a recording: where each tick and tock lies to about a tenth of a millisecond, which are
 * missing, and how the period wanders. Beats keep their number when one is missed.
 */
public final class BeatTracker {
    private static final double SMOOTH_SECONDS = 0.006;
    private static final double LARGEST_BEAT_ERROR_SECONDS = 0.010;
    private static final double ALIKE = 0.25;
    private static final int NEIGHBOURS = 8;
    // so many blocks in one: the likeness is smooth over a few blocks
    private static final int COARSE_STEP = 4;

    private final Envelope fine;
    private final Likeness likeness;
    private final Likeness rough;
    private final double halfWindowSeconds;
    private final int[] numbers;
    private final double[] predicted;
    private final boolean[] present;
    private final boolean lost;
    private double period;

    /**
     * @param coarse envelope in blocks of half a millisecond
     * @param fine envelope in blocks of a tenth
     * @param periodSeconds full period as found for the whole recording
     */
    public BeatTracker(Envelope coarse, Envelope fine, double periodSeconds) {
        this.fine = fine;
        this.likeness = new Likeness(fine.values());
        this.rough = new Likeness(Envelope.together(fine.values(), COARSE_STEP));
        this.period = periodSeconds;
        this.halfWindowSeconds = 0.30 * periodSeconds / 2;
        LostSound.Shifts shifts = LostSound.in(coarse, periodSeconds);
        this.lost = shifts != LostSound.Shifts.NONE;
        double[] phase = phases(coarse, shifts);
        // what was lost would have held beats, too
        int swings = (int) Math.floor((fine.seconds() + shifts.largest()) / periodSeconds) + 1;
        int[] allNumbers = new int[2 * swings];
        double[] allTimes = new double[2 * swings];
        int count = 0;
        for (int k = 0; k < 2 * swings; k++) {
            double steady = phase[k & 1] + (k / 2) * periodSeconds;
            double time = shifts.heard(steady);
            if (time >= 0 && time < fine.seconds()) {
                allNumbers[count] = k;
                allTimes[count++] = time;
            }
        }
        this.numbers = Arrays.copyOf(allNumbers, count);
        this.predicted = Arrays.copyOf(allTimes, count);
        this.present = new boolean[count];
        follow();
    }

    /** The two places within a period where the sound is loudest, tick before tock, about half a period apart. */
    private double[] phases(Envelope coarse, LostSound.Shifts shifts) {
        int bins = Math.max(8, (int) Math.round(period / coarse.blockSeconds()));
        double[] sum = coarse.folded(period, bins, 0, coarse.seconds(), shifts::steady);
        double[] smooth = aroundTheClock(sum, (int) Math.round(SMOOTH_SECONDS / coarse.blockSeconds()));
        return loudestPair(smooth, (int)
                Math.round(Math.min(2 * LARGEST_BEAT_ERROR_SECONDS, 0.2 * period) / coarse.blockSeconds()));
    }

    /** The loudest two places half a period apart, as far as a beat error reaches. */
    private double[] loudestPair(double[] smooth, int reach) {
        int bins = smooth.length;
        int bestTick = 0;
        int bestTock = bins / 2;
        double best = -1;
        for (int tick = 0; tick < bins; tick++) {
            for (int d = -reach; d <= reach; d++) {
                int tock = Math.floorMod(tick + bins / 2 + d, bins);
                if (smooth[tick] + smooth[tock] > best) {
                    best = smooth[tick] + smooth[tock];
                    bestTick = tick;
                    bestTock = tock;
                }
            }
        }
        int first = Math.min(bestTick, bestTock);
        int second = Math.max(bestTick, bestTock);
        return new double[] {(first + 0.5) / bins * period, (second + 0.5) / bins * period};
    }

    private static double[] aroundTheClock(double[] values, int width) {
        double[] out = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            for (int d = -width / 2; d <= width / 2; d++) {
                out[i] += values[Math.floorMod(i + d, values.length)];
            }
        }
        return out;
    }

    private void follow() {
        double[] reach = {0.008, 0.0025, 0.0015};
        for (double r : reach) {
            double[] times = new double[numbers.length];
            Arrays.fill(times, Double.NaN);
            for (int half = 0; half < 2; half++) {
                align(half, r, r == reach[reach.length - 1], times);
            }
            RobustLine line = RobustLine.fit(numbers, times);
            if (line.slope() > 0) {
                period = 2 * line.slope();
            }
            // where sound was lost the beats lie beside the line from there on: steps are in it
            double[] off = new double[times.length];
            for (int i = 0; i < off.length; i++) {
                off[i] = times[i] - line.at(numbers[i]);
            }
            double[] wander = Robust.runningMedian(off, NEIGHBOURS);
            for (int i = 0; i < numbers.length; i++) {
                present[i] = !Double.isNaN(times[i]) && Math.abs(times[i] - line.at(numbers[i]) - wander[i]) < 0.003;
                predicted[i] = line.at(numbers[i]) + wander[i];
            }
        }
    }

    private void align(int half, double reachSeconds, boolean exactly, double[] times) {
        int window = (int) Math.round(halfWindowSeconds / fine.blockSeconds());
        int reach = (int) Math.round(reachSeconds / fine.blockSeconds());
        double[] pattern = new double[2 * window + 1];
        int used = 0;
        for (int i = 0; i < numbers.length; i++) {
            int centre = (int) Math.round(predicted[i] / fine.blockSeconds());
            if ((numbers[i] & 1) == half && inside(centre, window)) {
                used++;
                for (int j = 0; j < pattern.length; j++) {
                    pattern[j] += fine.values()[centre - window + j];
                }
            }
        }
        if (used == 0) {
            return;
        }
        Likeness.Pattern ready = Likeness.Pattern.of(pattern, 0, pattern.length);
        double[] few = Envelope.together(pattern, COARSE_STEP);
        Likeness.Pattern coarse = Likeness.Pattern.of(few, 0, few.length);
        for (int i = 0; i < numbers.length; i++) {
            int centre = (int) Math.round(predicted[i] / fine.blockSeconds());
            if ((numbers[i] & 1) == half && inside(centre, window + reach)) {
                double shift = shift(exactly ? ready : null, coarse, centre, window, reach);
                times[i] = (centre + shift) * fine.blockSeconds();
            }
        }
    }

    private boolean inside(int centre, int reach) {
        return centre - reach >= 0 && centre + reach < fine.values().length;
    }

    /**
     * How many blocks later than its centre a beat lies; NaN when it is nowhere like the pattern.
     *
     * @param exact the pattern in whole blocks, nothing while coarse ones are enough
     * @param coarse the pattern in blocks of a coarse step
     */
    private double shift(Likeness.@Nullable Pattern exact, Likeness.Pattern coarse, int centre, int window, int reach) {
        int begin = centre - reach - window;
        // coarse blocks begin every few blocks: what is compared lies so much earlier than asked for
        int early = begin % COARSE_STEP;
        double[] roughly = new double[2 * reach / COARSE_STEP + 1];
        rough.along(coarse, begin / COARSE_STEP, roughly);
        double[] alike = new double[2 * reach + 1];
        int top = 0;
        for (int at = 0; at <= 2 * reach; at += COARSE_STEP) {
            alike[at] = roughly[at / COARSE_STEP];
            top = alike[at] > alike[top] ? at : top;
        }
        double about = peak(alike, top, COARSE_STEP, 0, 2 * reach) - early;
        if (exact == null) {
            return about - reach;
        }
        return climbed(exact, begin, Double.isNaN(about) ? top - early : (int) Math.round(about), alike) - reach;
    }

    /** The peak of the exact likeness uphill from a place; NaN when it lies beyond what was asked for. */
    private double climbed(Likeness.Pattern exact, int begin, int about, double[] alike) {
        int last = alike.length - 1;
        int from = Math.max(0, Math.min(last, about) - 1);
        int to = from;
        int top = from;
        alike[from] = likeness.of(exact, begin + from);
        while (to < last && (to <= about || top == to)) {
            to++;
            alike[to] = likeness.of(exact, begin + to);
            top = alike[to] > alike[top] ? to : top;
        }
        while (from > 0 && top == from) {
            from--;
            alike[from] = likeness.of(exact, begin + from);
            top = alike[from] > alike[top] ? from : top;
        }
        return peak(alike, top, 1, from, to);
    }

    /** The top of a parabola through the greatest likeness and its neighbours a step away. */
    private static double peak(double[] alike, int top, int step, int from, int to) {
        if (alike[top] < ALIKE || top - step < from || top + step > to) {
            return Double.NaN;
        }
        double left = alike[top - step];
        double right = alike[top + step];
        double curve = left - 2 * alike[top] + right;
        return top + (curve < 0 ? step * (left - right) / (2 * curve) : 0);
    }

    /** Beat numbers, even for ticks; a number for every beat expected in the recording. */
    public int[] numbers() {
        return numbers;
    }

    /** Where each beat is expected, in seconds, wander included. */
    public double[] predicted() {
        return predicted;
    }

    /** The beats heard where they are expected, as places in {@link #numbers} and {@link #predicted}. */
    public int[] heard() {
        return IntStream.range(0, numbers.length).filter(i -> present[i]).toArray();
    }

    /** Whether the beats lie elsewhere from some place on, so that sound was lost between. */
    public boolean lostSound() {
        return lost;
    }

    /** Full period in seconds. */
    public double periodSeconds() {
        return period;
    }

    /** Half the width of the window around a beat, in seconds. */
    public double halfWindowSeconds() {
        return halfWindowSeconds;
    }
}
