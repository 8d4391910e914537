package escrel.core.statistics;

import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;

/**
 * The discrete Fourier transform of a real sequence by a complex one of half its length: even samples as real parts, odd
 * ones as imaginary. Source: Press et al., Numerical Recipes, 3rd ed., section 12.3.
 */
public final class RealFourier {
    // turning by multiplication drifts: after so many steps the angle is taken afresh
    private static final int RESTART = 64;

    private final int half;
    private final double[][] z;
    private final double[][] out;

    /**
     * For sequences of one length; the room it needs is used again for each.
     *
     * @param length a power of two, at least 4
     */
    public RealFourier(int length) {
        half = length / 2;
        z = new double[2][half];
        out = new double[2][half + 1];
    }

    /**
     * Real and imaginary parts for frequencies 0 to half the length, both included; they hold until the next transform.
     *
     * @param values as many as the length
     */
    public double[][] transform(double[] values) {
        for (int k = 0; k < half; k++) {
            z[0][k] = values[2 * k];
            z[1][k] = values[2 * k + 1];
        }
        FastFourierTransformer.transformInPlace(z, DftNormalization.STANDARD, TransformType.FORWARD);
        apart();
        return out;
    }

    /** The transform of even and odd samples taken apart again, and put together. */
    private void apart() {
        double step = -Math.PI / half;
        double turnRe = Math.cos(step);
        double turnIm = Math.sin(step);
        double re = 1;
        double im = 0;
        for (int k = 0; k <= half; k++) {
            if (k % RESTART == 0) {
                re = Math.cos(k * step);
                im = Math.sin(k * step);
            }
            int a = k == half ? 0 : k;
            int b = k == 0 ? 0 : half - k;
            double evenRe = 0.5 * (z[0][a] + z[0][b]);
            double evenIm = 0.5 * (z[1][a] - z[1][b]);
            double oddRe = 0.5 * (z[1][a] + z[1][b]);
            double oddIm = 0.5 * (z[0][b] - z[0][a]);
            out[0][k] = evenRe + re * oddRe - im * oddIm;
            out[1][k] = evenIm + re * oddIm + im * oddRe;
            double next = re * turnRe - im * turnIm;
            im = re * turnIm + im * turnRe;
            re = next;
        }
    }
}
