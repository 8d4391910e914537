package escrel.core.timing.sound;

/**
 * Sound as it comes in, piece by piece. Only the last stretch is kept, so that memory is the same after eight hours as
 * after a minute. Not safe for several threads at once.
 */
public final class LiveSound {
    private final float[] ring;
    private final double sampleRate;
    private long heard;
    private long begin;

    /**
     * Keeps the last seconds of a sound.
     *
     * @param sampleRate samples per second, above 0
     * @param keptSeconds above 0
     */
    public LiveSound(double sampleRate, double keptSeconds) {
        if (!(sampleRate > 0 && keptSeconds > 0)) {
            throw new IllegalArgumentException(
                    "sample rate and seconds must be above 0, were " + sampleRate + " and " + keptSeconds);
        }
        this.sampleRate = sampleRate;
        this.ring = new float[(int) Math.ceil(sampleRate * keptSeconds)];
    }

    /** Adds a piece, −1 to 1. */
    public void add(float[] piece) {
        for (float x : piece) {
            ring[(int) (heard % ring.length)] = x;
            heard++;
        }
    }

    /** Forgets what was heard so far: the watch was moved. */
    public void startAgain() {
        begin = heard;
    }

    /** Seconds heard since the beginning or since it was started again; more than are kept. */
    public double seconds() {
        return (heard - begin) / sampleRate;
    }

    /** Seconds from the very first sample to the first of what {@link #latest} gives. */
    public double secondsBefore(double seconds) {
        return (heard - length(seconds)) / sampleRate;
    }

    /** The last seconds, or what there is of them since it was started again. */
    public Sound latest(double seconds) {
        int length = length(seconds);
        float[] out = new float[length];
        int from = (int) ((heard - length) % ring.length);
        int first = Math.min(length, ring.length - from);
        System.arraycopy(ring, from, out, 0, first);
        System.arraycopy(ring, 0, out, first, length - first);
        return new Sound(out, sampleRate);
    }

    private int length(double seconds) {
        long wanted = Math.round(seconds * sampleRate);
        return (int) Math.min(Math.min(wanted, ring.length), heard - begin);
    }

    /** Samples per second. */
    public double sampleRate() {
        return sampleRate;
    }
}
