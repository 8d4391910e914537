package escrel.core.timing.beats;

/**
 * A recording with its energy summed up from its beginning at every few samples, so that the energy of any stretch costs little
 * however long it is. Sums over a minute keep some twelve digits, far more than the quietest stretch asks for.
 */
final class Energies {
    // as power of two: sums at every sample would be more to read than the samples themselves
    private static final int STEP_BITS = 3;

    private final float[] samples;
    private final double sampleRate;
    private final double[] sums;

    Energies(float[] samples, double sampleRate) {
        this.samples = samples;
        this.sampleRate = sampleRate;
        this.sums = new double[(samples.length >> STEP_BITS) + 1];
        for (int k = 1; k < sums.length; k++) {
            sums[k] = sums[k - 1] + eight(samples, (k - 1) << STEP_BITS);
        }
    }

    /** The energy of a step, written out: in a loop reading a sample would wait until the one before was added. */
    private static double eight(float[] samples, int from) {
        double a = samples[from];
        double b = samples[from + 1];
        double c = samples[from + 2];
        double d = samples[from + 3];
        double e = samples[from + 4];
        double f = samples[from + 5];
        double g = samples[from + 6];
        double h = samples[from + 7];
        return a * a + b * b + c * c + d * d + e * e + f * f + g * g + h * h;
    }

    private double sum(int from, int to) {
        double sum = 0;
        for (int i = from; i < to; i++) {
            double x = samples[i];
            sum += x * x;
        }
        return sum;
    }

    float[] samples() {
        return samples;
    }

    double sampleRate() {
        return sampleRate;
    }

    /** Whether the recording holds a stretch. */
    boolean holds(int from, int length) {
        return from >= 0 && from + length <= samples.length;
    }

    private double upTo(int at) {
        int step = at >> STEP_BITS;
        return sums[step] + sum(step << STEP_BITS, at);
    }

    /** Energy from a sample on, up to another, which is left out; both within the recording. */
    double between(int from, int to) {
        return upTo(to) - upTo(from);
    }

    /** By how much the energy after a sample is more than that before it, both over so many samples. */
    double rise(int at, int width) {
        return upTo(at + width) - 2 * upTo(at) + upTo(at - width);
    }
}
