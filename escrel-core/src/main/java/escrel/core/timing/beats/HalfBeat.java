package escrel.core.timing.beats;

import java.util.Arrays;

/**
 * Ticks, or tocks, of a recording laid over each other, and the sudden rises in them.
 *
 * @param stack the beats laid on one another
 * @param rises candidates for the sounds of the beat
 */
record HalfBeat(Stack stack, Rises rises) {
    private static final double MOST = 4;

    /**
     * @param times where the beats of this half lie, in seconds
     * @param windowSeconds looked at before and after
     */
    static HalfBeat at(Energies sound, double[] times, double windowSeconds) {
        double[] calm = CalmBeats.among(sound, times, windowSeconds);
        double[] weights = weights(sound, calm, windowSeconds);
        Stack stack = Stack.of(sound.samples(), sound.sampleRate(), calm, weights, windowSeconds, windowSeconds);
        return new HalfBeat(stack, Rises.in(sound, calm, weights, stack));
    }

    /** So that a beat counts for as much as another where the pick-up slipped and the watch is heard louder from then on. */
    private static double[] weights(Energies sound, double[] times, double windowSeconds) {
        int half = (int) Math.round(windowSeconds * sound.sampleRate());
        double[] energies = new double[times.length];
        for (int k = 0; k < times.length; k++) {
            int from = (int) Math.round(times[k] * sound.sampleRate() - half);
            energies[k] = sound.holds(from, 2 * half) ? sound.between(from, from + 2 * half) : Double.NaN;
        }
        double[] sorted =
                Arrays.stream(energies).filter(e -> !Double.isNaN(e)).sorted().toArray();
        double usual = sorted.length == 0 ? 1 : sorted[sorted.length / 2];
        double[] weights = new double[times.length];
        for (int k = 0; k < times.length; k++) {
            weights[k] = energies[k] > 0 ? Math.min(MOST, usual / energies[k]) : 1;
        }
        return weights;
    }
}
