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
        double w = Math.tan(Math.PI * cornerHertz / sound.sampleRate());
        double norm1 = 1 / (1 + w / QUALITY[0] + w * w);
        double norm2 = 1 / (1 + w / QUALITY[1] + w * w);
        double back = 2 * (w * w - 1);
        double far1 = (1 - w / QUALITY[0] + w * w) * norm1;
        double far2 = (1 - w / QUALITY[1] + w * w) * norm2;
        return run(sound.samples(), norm1 * norm2, back * norm1, far1, back * norm2, far2);
    }

    /**
     * Both sections in one run, so that the second works on a sample while the first is at the next, and two samples a turn;
     * each takes the difference of differences, and what has to wait for the sample before comes last.
     */
    private static float[] run(float[] x, double gain, double back1, double far1, double back2, double far2) {
        float[] filtered = new float[x.length];
        double in1 = x.length > 0 ? gain * x[0] : 0;
        double rise1 = 0;
        double mid1 = 0;
        double mid2 = 0;
        double climb1 = 0;
        double out1 = 0;
        double out2 = 0;
        for (int i = 0; i < x.length; i += 2) {
            boolean two = i + 1 < x.length;
            double in2 = gain * x[i];
            double rise2 = in2 - in1;
            in1 = two ? gain * x[i + 1] : 0;
            mid2 = rise2 - rise1 - far1 * mid2 - back1 * mid1;
            double climb2 = mid2 - mid1;
            rise1 = in1 - in2;
            mid1 = rise1 - rise2 - far1 * mid1 - back1 * mid2;
            out2 = climb2 - climb1 - far2 * out2 - back2 * out1;
            climb1 = mid1 - mid2;
            out1 = climb1 - climb2 - far2 * out1 - back2 * out2;
            filtered[i] = (float) out2;
            if (two) {
                filtered[i + 1] = (float) out1;
            }
        }
        return filtered;
    }
}
