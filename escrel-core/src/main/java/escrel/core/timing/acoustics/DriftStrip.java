package escrel.core.timing.acoustics;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;

/**
 * The strip: how far each beat runs ahead of an exact beat, unwrapped, so that a steady rate is a slope and a beat error
 * the distance of two lines. Readings of overlapping stretches are joined; of each only the beats not yet on the strip
 * are taken. At most {@link #MOST} points are kept, the latest.
 */
public final class DriftStrip {
    /** Points kept. */
    public static final int MOST = 2_400;

    /**
     * One beat.
     *
     * @param seconds since the first sample
     * @param aheadMillis how far ahead of an exact beat; rising = gaining
     * @param tock whether it is the other half
     */
    public record Point(double seconds, double aheadMillis, boolean tock) {}

    private final Deque<Point> points = new ArrayDeque<>();
    private final double nominalSeconds;
    private double lastSeconds = Double.NEGATIVE_INFINITY;
    private double ahead;
    private boolean lastTock;

    /**
     * A strip against an exact beat.
     *
     * @param nominalSeconds time of an exact beat
     */
    public DriftStrip(double nominalSeconds) {
        if (!(nominalSeconds > 0)) {
            throw new IllegalArgumentException("the beat must last longer than nothing, was " + nominalSeconds);
        }
        this.nominalSeconds = nominalSeconds;
    }

    /**
     * Puts the new beats of a reading on the strip.
     *
     * @param startSeconds where the reading's sound begins, since the first sample
     */
    public void add(SoundReading reading, double startSeconds) {
        for (SoundReading.Beat beat : reading.beats()) {
            double at = startSeconds + beat.seconds();
            if (beat.counts() && at > lastSeconds + nominalSeconds / 2) {
                put(at);
            }
        }
    }

    private void put(double at) {
        if (points.isEmpty()) {
            ahead = 0;
            // which half is called tick is chance in each reading; on the strip it is the first beat's
            lastTock = false;
        } else {
            long beats = Math.max(1, Math.round((at - lastSeconds) / nominalSeconds));
            ahead += (beats * nominalSeconds - (at - lastSeconds)) * 1000;
            lastTock = (beats & 1) == 1 ? !lastTock : lastTock;
        }
        lastSeconds = at;
        points.addLast(new Point(at, ahead, lastTock));
        if (points.size() > MOST) {
            points.removeFirst();
        }
    }

    /** Breaks the strip: the next beat begins anew. */
    public void startAgain() {
        points.clear();
        lastSeconds = Double.NEGATIVE_INFINITY;
    }

    /** The points, oldest first. */
    public List<Point> points() {
        return List.copyOf(points);
    }
}
