package escrel.core.timing.acoustics;

/**
 * A causal Butterworth high-pass of the fourth order, as two second-order sections. It takes away hum, thumps and
 * offset. Causal on purpose: a filter that looks ahead moves the beginning of a sound early, and unevenly for tick and
 * tock. Source: bilinear transform of the analogue prototype, Oppenheim and Schafer, Discrete-Time Signal Processing,
 * 3rd ed., section 7.2.
 */
final class HighPass {
    // quality factors of the two pole pairs of a fourth-order Butterworth filter: 1 / (2 cos(π/8)), 1 / (2 cos(3π/8))
    private static final double[] QUALITY = {0.541_196_1, 1.306_562_97};

    private HighPass() {}

    /**
     * The filtered samples, as many as given.
     *
     * @param cornerHertz above 0 and below half the sample rate
     */
    static float[] apply(Sound sound, double cornerHertz) {
        float[] out = sound.samples().clone();
        double w = Math.tan(Math.PI * cornerHertz / sound.sampleRate());
        for (double q : QUALITY) {
            section(out, w, q);
        }
        return out;
    }

    private static void section(float[] x, double w, double q) {
        double norm = 1 / (1 + w / q + w * w);
        double a1 = 2 * (w * w - 1) * norm;
        double a2 = (1 - w / q + w * w) * norm;
        double in1 = x.length > 0 ? x[0] : 0;
        double in2 = in1;
        double out1 = 0;
        double out2 = 0;
        for (int i = 0; i < x.length; i++) {
            double in = x[i];
            double out = norm * (in - 2 * in1 + in2) - a1 * out1 - a2 * out2;
            in2 = in1;
            in1 = in;
            out2 = out1;
            out1 = out;
            x[i] = (float) out;
        }
    }
}
