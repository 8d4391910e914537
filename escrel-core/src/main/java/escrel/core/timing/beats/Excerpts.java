package escrel.core.timing.beats;

/**
 * The same stretch of many beats, cut from a recording: from a little before an expected time on. Positions are whole samples;
 * by how much each was rounded is kept.
 */
final class Excerpts {
    private final float[] samples;
    private final int[] begin;
    private final double[] rounding;
    private final int length;
    private final int reach;

    /**
     * @param times expected, in seconds
     * @param before samples before them
     * @param length samples of an excerpt
     * @param reach samples an excerpt may be shifted either way
     */
    Excerpts(float[] samples, double sampleRate, double[] times, int before, int length, int reach) {
        this.samples = samples;
        this.length = length;
        this.reach = reach;
        this.begin = new int[times.length];
        this.rounding = new double[times.length];
        for (int k = 0; k < times.length; k++) {
            double exact = times[k] * sampleRate - before;
            int whole = (int) Math.round(exact);
            boolean inside = whole - reach >= 0 && whole + length + reach <= samples.length;
            begin[k] = inside ? whole : -1;
            rounding[k] = inside ? whole - exact : 0;
        }
    }

    int count() {
        return begin.length;
    }

    int length() {
        return length;
    }

    int reach() {
        return reach;
    }

    /** Whether the recording holds it, however it is shifted. */
    boolean inside(int beat) {
        return begin[beat] >= 0;
    }

    /** By how many samples later than its exact position it is cut. */
    double rounding(int beat) {
        return rounding[beat];
    }

    /** Where it begins among the samples, shifted. */
    int at(int beat, int shift) {
        return begin[beat] + shift;
    }

    /**
     * Its values with those around it.
     *
     * @param into from the one {@link #reach} before its begin on, as many as it is long
     */
    void around(int beat, double[] into) {
        int from = at(beat, -reach);
        for (int i = 0; i < into.length; i++) {
            into[i] = samples[from + i];
        }
    }

    /** Adds an excerpt, shifted, times a factor. */
    void add(double[] into, int beat, int shift, double factor) {
        int from = at(beat, shift);
        for (int i = 0; i < length; i++) {
            into[i] += factor * samples[from + i];
        }
    }

    /** Its energy, shifted. */
    double energy(int beat, int shift) {
        int from = at(beat, shift);
        double sum = 0;
        for (int i = from; i < from + length; i++) {
            sum += samples[i] * samples[i];
        }
        return sum;
    }

    /** Sum of its values, shifted. */
    double sum(int beat, int shift) {
        int from = at(beat, shift);
        double sum = 0;
        for (int i = from; i < from + length; i++) {
            sum += samples[i];
        }
        return sum;
    }
}
