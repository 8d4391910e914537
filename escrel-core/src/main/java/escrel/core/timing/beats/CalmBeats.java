package escrel.core.timing.beats;

import java.util.Arrays;

/** Chooses the beats into which no knock or noise fell: one loud beat would hide the faint sounds of fifty quiet ones. */
final class CalmBeats {
    private static final int PIECES = 24;
    // how many times noisier than usual a beat may be, in energy
    private static final double NOISY = 2.5;
    private static final double FEWEST = 0.5;

    private CalmBeats() {}

    /** Times of the calm beats, in order; all of them when fewer than half are calm. */
    static double[] among(Energies sound, double[] times, double halfWindowSeconds) {
        double[] quiet = new double[times.length];
        for (int k = 0; k < times.length; k++) {
            quiet[k] = quiet(sound, times[k], halfWindowSeconds);
        }
        double[] sorted =
                Arrays.stream(quiet).filter(q -> !Double.isNaN(q)).sorted().toArray();
        if (sorted.length == 0) {
            return times;
        }
        double limit = NOISY * sorted[sorted.length / 2] + 1e-14;
        double[] calm = new double[times.length];
        int count = 0;
        for (int k = 0; k < times.length; k++) {
            if (quiet[k] <= limit) {
                calm[count++] = times[k];
            }
        }
        return count < FEWEST * times.length ? times : Arrays.copyOf(calm, count);
    }

    /** Mean energy of the quieter half of the pieces of a beat; NaN where the window leaves the recording. */
    private static double quiet(Energies sound, double time, double halfWindowSeconds) {
        int from = (int) Math.round((time - halfWindowSeconds) * sound.sampleRate());
        int length = (int) Math.round(2 * halfWindowSeconds * sound.sampleRate());
        if (!sound.holds(from, length)) {
            return Double.NaN;
        }
        double[] pieces = new double[PIECES];
        for (int piece = 0; piece < PIECES; piece++) {
            pieces[piece] = sound.between(from + piece * length / PIECES, from + (piece + 1) * length / PIECES);
        }
        Arrays.sort(pieces);
        // the third quarter: louder than silence between knocks, quieter than the sounds of the beat
        return Arrays.stream(pieces, PIECES / 2, PIECES * 3 / 4).sum();
    }
}
