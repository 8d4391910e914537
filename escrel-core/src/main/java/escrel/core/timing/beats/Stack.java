package escrel.core.timing.beats;

/**
 * Many beats laid over each other: the mean energy around their times, sample by sample. What is not part of the beat
 * averages out; a knock in one beat is cut down to a few times the mean.
 *
 * @param energy mean energy, index 0 being {@code beforeSeconds} before the beat's time
 */
public record Stack(double[] energy, double beforeSeconds, double sampleRate) {
    private static final double KNOCK = 6;

    /**
     * Stacks the samples around these times.
     *
     * @param times in seconds; those whose window leaves the recording are left aside
     * @param weights factor of each beat's energy
     */
    public static Stack of(
            float[] samples,
            double sampleRate,
            double[] times,
            double[] weights,
            double beforeSeconds,
            double afterSeconds) {
        int length = (int) Math.round((beforeSeconds + afterSeconds) * sampleRate);
        double[] mean = new double[length];
        int used = 0;
        for (int k = 0; k < times.length; k++) {
            int from = begin(times[k], beforeSeconds, sampleRate);
            if (from >= 0 && from + length <= samples.length) {
                used++;
                add(samples, from, weights[k], mean);
            }
        }
        scale(mean, 1.0 / Math.max(1, used));
        double[] limit = smooth(mean, 9);
        scale(limit, KNOCK);
        double[] clipped = new double[length];
        for (int k = 0; k < times.length; k++) {
            int from = begin(times[k], beforeSeconds, sampleRate);
            if (from >= 0 && from + length <= samples.length) {
                addUpTo(samples, from, weights[k], limit, clipped);
            }
        }
        scale(clipped, 1.0 / Math.max(1, used));
        return new Stack(clipped, beforeSeconds, sampleRate);
    }

    private static int begin(double time, double beforeSeconds, double sampleRate) {
        return (int) Math.round((time - beforeSeconds) * sampleRate);
    }

    private static void add(float[] samples, int from, double weight, double[] into) {
        for (int i = 0; i < into.length; i++) {
            double x = samples[from + i];
            into[i] += weight * x * x;
        }
    }

    private static void addUpTo(float[] samples, int from, double weight, double[] limit, double[] into) {
        for (int i = 0; i < into.length; i++) {
            double x = samples[from + i];
            double e = weight * x * x;
            into[i] += e < limit[i] ? e : limit[i];
        }
    }

    private static void scale(double[] values, double factor) {
        for (int i = 0; i < values.length; i++) {
            values[i] *= factor;
        }
    }

    /** Running mean over an odd number of samples, shorter at the ends. */
    public static double[] smooth(double[] values, int width) {
        double[] out = new double[values.length];
        int half = width / 2;
        double sum = 0;
        int from = 0;
        int to = 0;
        for (int i = 0; i < values.length; i++) {
            while (to < values.length && to <= i + half) {
                sum += values[to++];
            }
            while (from < i - half) {
                sum -= values[from++];
            }
            out[i] = Math.max(0, sum / (to - from));
        }
        return out;
    }

    /** Time in seconds, relative to the beat's time, of a position between samples. */
    public double seconds(double index) {
        return index / sampleRate - beforeSeconds;
    }

    /** Position of a time relative to the beat's time, within the stack. */
    public int index(double seconds) {
        return Math.max(0, Math.min(energy.length - 1, (int) Math.round((seconds + beforeSeconds) * sampleRate)));
    }

    /** The quiet between the sounds: the mean over the quietest quarter-window. */
    public double floor() {
        double[] wide = smooth(energy, Math.max(3, energy.length / 16) | 1);
        double least = Double.MAX_VALUE;
        for (double e : wide) {
            least = Math.min(least, e);
        }
        return least;
    }
}
