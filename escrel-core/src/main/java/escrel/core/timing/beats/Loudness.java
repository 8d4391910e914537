package escrel.core.timing.beats;

/**
 * How loud a sound is over time: the root of its mean energy over a tenth of a millisecond, at
 * every hop.
 *
 * @param values one after another
 * @param rate of them in a second
 */
record Loudness(float[] values, double rate) {
    /** For finding a course from afar. */
    static final double COARSE_SECONDS = 0.00005;
    /** For the exact place. */
    static final double FINE_SECONDS = 0.000025;

    private static final double WIDTH_SECONDS = 0.0001;

    /**
     * The loudness around some times, each within reach; elsewhere nothing, since nobody looks there.
     *
     * @param times in seconds
     */
    static Loudness around(
            float[] samples,
            double sampleRate,
            double hopSeconds,
            double[] times,
            double beforeSeconds,
            double afterSeconds) {
        int hop = (int) Math.max(1, Math.round(hopSeconds * sampleRate));
        int width = (int) Math.max(2, Math.round(WIDTH_SECONDS * sampleRate));
        float[] values = new float[samples.length / hop];
        for (double time : times) {
            int from = (int) Math.max(0, (time - beforeSeconds) * sampleRate / hop);
            int to = (int) Math.min(values.length, (time + afterSeconds) * sampleRate / hop);
            fill(samples, values, hop, width, from, to);
        }
        return new Loudness(values, sampleRate / hop);
    }

    private static void fill(float[] samples, float[] values, int hop, int width, int from, int to) {
        double sum = 0;
        int next = Math.max(0, from * hop - width);
        for (int i = from; i < to; i++) {
            for (int end = (i + 1) * hop; next < end; next++) {
                sum += (double) samples[next] * samples[next];
                if (next - width >= from * hop - width && next >= width) {
                    sum -= (double) samples[next - width] * samples[next - width];
                }
            }
            values[i] = (float) Math.sqrt(Math.max(0, sum) / width);
        }
    }
}
