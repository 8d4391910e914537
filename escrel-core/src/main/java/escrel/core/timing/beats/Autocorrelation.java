package escrel.core.timing.beats;

import escrel.core.statistics.RealFourier;

/** How alike an envelope is to itself some time later: 1 at lag 0, about 0 where there is no likeness. */
final class Autocorrelation {
    private final double[] values;
    private final double blockSeconds;

    private Autocorrelation(double[] values, double blockSeconds) {
        this.values = values;
        this.blockSeconds = blockSeconds;
    }

    static Autocorrelation of(Envelope envelope) {
        double[] x = envelope.values();
        double mean = 0;
        for (double v : x) {
            mean += v / x.length;
        }
        // twice the length, so that the end does not wrap round onto the beginning
        int size = Math.max(4, Integer.highestOneBit(Math.max(1, 2 * x.length - 1)) * 2);
        double[] padded = new double[size];
        for (int i = 0; i < x.length; i++) {
            padded[i] = x[i] - mean;
        }
        double[][] spectrum = RealFourier.transform(padded);
        int half = size / 2;
        for (int k = 0; k <= half; k++) {
            double power = spectrum[0][k] * spectrum[0][k] + spectrum[1][k] * spectrum[1][k];
            padded[k] = power;
            // the power of a real sequence is the same backwards
            if (k > 0 && k < half) {
                padded[size - k] = power;
            }
        }
        // and its transform, being that of an even sequence, is the same as its inverse but for the length
        double[] back = RealFourier.transform(padded)[0];
        for (int lag = 0; lag < Math.min(back.length, x.length); lag++) {
            back[lag] /= size;
        }
        double zero = back[0] / x.length;
        double[] values = new double[x.length];
        for (int lag = 0; lag < x.length; lag++) {
            // each lag by the number of pairs it has
            values[lag] = zero > 0 ? back[lag] / (x.length - lag) / zero : 0;
        }
        return new Autocorrelation(values, envelope.blockSeconds());
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

    double longestLagSeconds() {
        return values.length * blockSeconds;
    }
}
