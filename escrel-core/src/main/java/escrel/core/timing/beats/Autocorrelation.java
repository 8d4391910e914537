package escrel.core.timing.beats;

import escrel.core.statistics.RealFourier;
import java.util.Arrays;

/** How alike an envelope is to itself some time later: 1 at lag 0, about 0 where there is no likeness. */
final class Autocorrelation {
    /** Lags are worked out up to this share of a part: of longer ones too few pairs are left. */
    private static final double LONGEST_LAG = 0.6;
    // some twenty seconds, which with the longest lag just fill a power of two of half milliseconds: lags enough for
    // the period, and less work than for a minute
    private static final double LONGEST_PART_SECONDS = (1 << 16) * Envelope.BLOCK_SECONDS / (1 + LONGEST_LAG);

    private final double[] values;
    private final double blockSeconds;

    private Autocorrelation(double[] values, double blockSeconds) {
        this.values = values;
        this.blockSeconds = blockSeconds;
    }

    /** Of an envelope; a long one by parts of equal length, each like itself, so that the lags go no farther than in a part. */
    static Autocorrelation of(Envelope envelope) {
        double[] x = envelope.values();
        int parts = Math.max(1, (int) Math.ceil(envelope.seconds() / LONGEST_PART_SECONDS));
        int length = x.length / parts;
        int lags = (int) (LONGEST_LAG * length);
        double mean = Arrays.stream(x).average().orElse(0);
        // longer by the lags, so that within them the end does not wrap round onto the beginning
        int size = Math.max(4, Integer.highestOneBit(Math.max(1, length + lags - 1)) * 2);
        RealFourier fourier = new RealFourier(size);
        double[] power = new double[size];
        double[] padded = new double[size];
        for (int part = 0; part < parts; part++) {
            for (int i = 0; i < length; i++) {
                padded[i] = x[part * length + i] - mean;
            }
            addPower(fourier.transform(padded), power);
        }
        // the transform of the power, being that of an even sequence, is the same as its inverse but for the length
        double[] back = fourier.transform(power)[0];
        double zero = length == 0 ? 0 : back[0] / length;
        double[] values = new double[lags];
        for (int lag = 0; lag < lags; lag++) {
            // each lag by the number of pairs it has
            values[lag] = zero > 0 ? back[lag] / (length - lag) / zero : 0;
        }
        return new Autocorrelation(values, envelope.blockSeconds());
    }

    private static void addPower(double[][] spectrum, double[] power) {
        int size = power.length;
        int half = size / 2;
        for (int k = 0; k <= half; k++) {
            double there = spectrum[0][k] * spectrum[0][k] + spectrum[1][k] * spectrum[1][k];
            power[k] += there;
            // the power of a real sequence is the same backwards
            if (k > 0 && k < half) {
                power[size - k] += there;
            }
        }
    }

    /** Likeness at a lag in seconds, between blocks by a straight line; 0 beyond the end. */
    double at(double lagSeconds) {
        double position = lagSeconds / blockSeconds;
        int below = (int) position;
        if (below < 0 || below + 1 >= values.length) {
            return 0;
        }
        double part = position - below;
        return values[below] * (1 - part) + values[below + 1] * part;
    }

    /** The lag in seconds of the greatest likeness within reach of a lag, by a parabola through the best three blocks. */
    double peakNear(double lagSeconds, double reachSeconds) {
        int from = Math.max(1, (int) Math.floor((lagSeconds - reachSeconds) / blockSeconds));
        int to = Math.min(values.length - 2, (int) Math.ceil((lagSeconds + reachSeconds) / blockSeconds));
        int best = from;
        for (int i = from; i <= to; i++) {
            best = values[i] > values[best] ? i : best;
        }
        if (best <= from || best >= to) {
            return best * blockSeconds;
        }
        double left = values[best - 1];
        double right = values[best + 1];
        double curve = left - 2 * values[best] + right;
        return (best + (curve < 0 ? (left - right) / (2 * curve) : 0)) * blockSeconds;
    }

    /** Beyond it nothing is said. */
    double longestLagSeconds() {
        return values.length * blockSeconds;
    }
}
