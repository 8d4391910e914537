package escrel.core.timing.beats;

import escrel.core.timing.sound.Sound;

/**
 * A causal Butterworth high-pass of the fourth order, as two second-order sections. It takes away hum, thumps and
 * offset. Causal on purpose: a filter that looks ahead moves the beginning of a sound early, and unevenly for tick and
 * tock. Source: bilinear transform of the analogue prototype, Oppenheim and Schafer, Discrete-Time Signal Processing,
 * 3rd ed., section 7.2.
 */
public final class HighPass {
    // quality factors of the two pole pairs of a fourth-order Butterworth filter: 1 / (2 cos(π/8)), 1 / (2 cos(3π/8))
    private static final double[] QUALITY = {0.541_196_1, 1.306_562_97};

    private HighPass() {}

    /**
     * The filtered samples, as many as given.
     *
     * @param cornerHertz above 0 and below half the sample rate
     */
    public static float[] apply(Sound sound, double cornerHertz) {
        float[] x = sound.samples().clone();
        double w = Math.tan(Math.PI * cornerHertz / sound.sampleRate());
        double norm1 = 1 / (1 + w / QUALITY[0] + w * w);
        double norm2 = 1 / (1 + w / QUALITY[1] + w * w);
        double back = 2 * (w * w - 1);
        double back1 = back * norm1;
        double back2 = back * norm2;
        double far1 = (1 - w / QUALITY[0] + w * w) * norm1;
        double far2 = (1 - w / QUALITY[1] + w * w) * norm2;
        // both sections in one run, so that the second works on a sample while the first is at the next
        double first = x.length > 0 ? x[0] : 0;
        double near1 = -first * norm1;
        double old1 = first * norm1;
        double near2 = 0;
        double old2 = 0;
        for (int i = 0; i < x.length; i++) {
            double in = x[i] * norm1;
            double mid = in + near1;
            near1 = old1 - 2 * in - back1 * mid;
            old1 = in - far1 * mid;
            double next = mid * norm2;
            double out = next + near2;
            near2 = old2 - 2 * next - back2 * out;
            old2 = next - far2 * out;
            x[i] = (float) out;
        }
        return x;
    }
}
