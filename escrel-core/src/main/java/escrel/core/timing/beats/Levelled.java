package escrel.core.timing.beats;

import java.util.Arrays;
import org.hipparchus.util.KthSelector;

/**
 * A sound made equally loud throughout: a pick-up that slips or a recorder that levels changes the loudness in the midst of a
 * recording, and the louder part would speak for all of it. What is made equal is the quiet between the beats, which is what
 * the median of the energy shows, since beats take up less than half of the time.
 */
public final class Levelled {
    private static final KthSelector MEDIAN = new KthSelector();
    private static final int STRIDE = 3;
    // holds two beats of the slowest movement
    private static final double WINDOW_SECONDS = 0.6;
    private static final double HOP_SECONDS = 0.15;
    // a stretch this much quieter than the rest, in energy, is a gap and not a change of loudness
    private static final double GAP = 1e-4;
    // below this factor in loudness nothing is changed: an uneven room is no jump
    private static final double JUMP = 1.3;

    private Levelled() {}

    /**
     * Levels the samples in place.
     *
     * @param energy mean energy in blocks of {@link Envelope#BLOCK_SECONDS}
     * @return whether anything was to be levelled
     */
    public static boolean level(float[] samples, double sampleRate, double[] energy) {
        double[] quiet = quiet(energy);
        if (quiet.length < 2) {
            return false;
        }
        double[] sorted = Arrays.stream(quiet).sorted().toArray();
        double usual = sorted[sorted.length / 2];
        double[] gains = new double[quiet.length];
        boolean jumps = false;
        for (int i = 0; i < gains.length; i++) {
            gains[i] = quiet[i] > GAP * usual ? Math.sqrt(usual / quiet[i]) : 1;
            jumps |= gains[i] > JUMP || gains[i] < 1 / JUMP;
        }
        if (jumps) {
            double hop = HOP_SECONDS * sampleRate;
            for (int i = 0; i < samples.length; i++) {
                double place = Math.max(0, Math.min(gains.length - 1.001, i / hop - WINDOW_SECONDS / HOP_SECONDS / 2));
                int at = (int) place;
                samples[i] *= (float) (gains[at] + (place - at) * (gains[at + 1] - gains[at]));
            }
        }
        return jumps;
    }

    /** The median energy around every hop; every third block is as good as all of them. */
    private static double[] quiet(double[] energy) {
        int window = (int) Math.round(WINDOW_SECONDS / Envelope.BLOCK_SECONDS);
        int hop = (int) Math.round(HOP_SECONDS / Envelope.BLOCK_SECONDS);
        int count = Math.max(0, (energy.length - window) / hop + 1);
        double[] quiet = new double[count];
        double[] part = new double[window / STRIDE];
        for (int i = 0; i < count; i++) {
            for (int b = 0; b < part.length; b++) {
                part[b] = energy[i * hop + b * STRIDE];
            }
            quiet[i] = MEDIAN.select(part, null, part.length / 2);
        }
        return quiet;
    }
}
