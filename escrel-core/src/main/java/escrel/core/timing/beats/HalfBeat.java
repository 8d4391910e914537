package escrel.core.timing.beats;

import escrel.core.statistics.Robust;

/**
 * All ticks, or all tocks, of a recording: their stack, where unlocking and drop begin in it, and from beat to beat.
 */
public final class HalfBeat {
    private static final int NEIGHBOURS = 6;

    private final float[] samples;
    private final double sampleRate;
    private final int[] numbers;
    private final double[] predicted;
    private final Stack stack;
    private final double[] calm;
    private final Rises rises;
    private double[] unlock = {};
    private double[] drop = {};
    private double unlockSeconds;
    private double dropSeconds;

    public HalfBeat(float[] samples, double sampleRate, BeatTracker tracker, int half) {
        this.samples = samples;
        this.sampleRate = sampleRate;
        int[] at = new int[tracker.numbers().length];
        int count = 0;
        for (int i = 0; i < at.length; i++) {
            if ((tracker.numbers()[i] & 1) == half && tracker.present(i)) {
                at[count++] = i;
            }
        }
        this.numbers = new int[count];
        this.predicted = new double[count];
        for (int i = 0; i < count; i++) {
            numbers[i] = tracker.numbers()[at[i]];
            predicted[i] = tracker.predicted()[at[i]];
        }
        double window = Math.min(tracker.halfWindowSeconds() * 1.3, 0.42 * tracker.periodSeconds() / 2);
        this.calm = CalmBeats.among(samples, sampleRate, predicted, window);
        this.stack = Stack.of(samples, sampleRate, calm, window, window);
        this.rises = Rises.in(samples, calm, stack);
    }

    /** Sudden rises in the stack, candidates for the sounds of the beat. */
    public Rises rises() {
        return rises;
    }

    /** The beats of this half laid on one another. */
    public Stack stack() {
        return stack;
    }

    /** The numbers of its beats, as they were counted through the sound. */
    public int[] numbers() {
        return numbers;
    }

    /** Takes these rises for unlocking and drop and follows both from beat to beat. */
    public void measure(Rise unlocking, Rise dropping) {
        Followed first = follow(unlocking.seconds());
        Followed last = follow(dropping.seconds());
        unlock = first.times();
        drop = last.times();
        unlockSeconds = first.beginning();
        dropSeconds = last.beginning();
    }

    private record Followed(double beginning, double[] times) {}

    private Followed follow(double near) {
        double rough = Onsets.beginning(stack, near);
        double[] expected = shifted(predicted, rough);
        double[] shifts = Segment.shifts(samples, sampleRate, expected);
        double[] calm = Robust.runningMedian(shifts, NEIGHBOURS);
        double[] centred = new double[expected.length];
        for (int i = 0; i < centred.length; i++) {
            centred[i] = expected[i] + calm[i];
        }
        Stack sharp = Stack.of(samples, sampleRate, centred, 0.003, 0.002);
        double correction = Onsets.beginning(sharp, 0);
        double[] times = new double[expected.length];
        for (int i = 0; i < times.length; i++) {
            times[i] = expected[i] + shifts[i] + correction;
        }
        return new Followed(rough + correction, times);
    }

    private static double[] shifted(double[] times, double by) {
        double[] out = new double[times.length];
        for (int i = 0; i < times.length; i++) {
            out[i] = times[i] + by;
        }
        return out;
    }

    /** When each beat unlocks, in seconds; NaN where it could not be told. */
    public double[] unlock() {
        return unlock;
    }

    /** When each beat drops, in seconds; NaN where it could not be told. */
    public double[] drop() {
        return drop;
    }

    /** Drop less unlocking of each beat, in seconds; NaN where either could not be told. */
    public double[] lifts() {
        double[] lifts = new double[drop.length];
        for (int i = 0; i < lifts.length; i++) {
            lifts[i] = drop[i] - unlock[i];
        }
        return lifts;
    }

    /** Where unlocking begins in the averaged beat, in seconds. */
    public double unlockSeconds() {
        return unlockSeconds;
    }

    /** Where the drop begins in the averaged beat, in seconds. */
    public double dropSeconds() {
        return dropSeconds;
    }
}
