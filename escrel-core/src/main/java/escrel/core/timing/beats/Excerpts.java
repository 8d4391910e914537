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

    /** One of its values, shifted; the one just behind its end too. */
    double value(int beat, int shift, int place) {
        return samples[at(beat, shift) + place];
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

    /** Product with a pattern, sample by sample, shifted. */
    double times(double[] pattern, int beat, int shift) {
        int from = at(beat, shift);
        double a = 0;
        double b = 0;
        double c = 0;
        double d = 0;
        int i = 0;
        // four sums, so that the processor need not wait for one to go on with the others
        for (; i + 3 < length; i += 4) {
            a += pattern[i] * samples[from + i];
            b += pattern[i + 1] * samples[from + i + 1];
            c += pattern[i + 2] * samples[from + i + 2];
            d += pattern[i + 3] * samples[from + i + 3];
        }
        for (; i < length; i++) {
            a += pattern[i] * samples[from + i];
        }
        return a + b + c + d;
    }
}
