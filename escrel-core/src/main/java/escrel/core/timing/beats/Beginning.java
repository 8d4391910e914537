package escrel.core.timing.beats;

/**
 * Where a sound begins in beats laid over each other, to a fraction of a sample: the place from which on the sound is most
 * likely there, all at once. Before it the wave scatters as the quiet does, after it with a size that grows in a straight line
 * and then stays. Of all places and lengths of growing the most likely one is taken; no threshold and no choice of a peak is
 * in it, so that a little other noise moves it only a little. Source: maximum likelihood of a change of variance, after
 * Maeda, A method for reading and checking phase time, Zisin 38 (1985), with a growing instead of a sudden change.
 */
final class Beginning {
    private static final double BEFORE_SECONDS = 0.001;
    private static final double AFTER_SECONDS = 0.0003;
    // sounds take 20 to 200 µs to rise, and scatter of the beats adds to it
    private static final double[] RISE_SECONDS = {0.00002, 0.00005, 0.0001, 0.00016};
    private static final double INDEPENDENT = 0.3;
    private static final double BEAT_COUNTS = 0.25;
    private static final int PLACES_IN_SAMPLE = 1;
    private static final double QUIET_SECONDS = 0.0003;
    private static final double COMPARED_SECONDS = 0.0003;
    private static final double EXPECTED_WITHIN_SECONDS = 0.0009;
    // energy of what is too soft to be the sound itself, as a part of its loudest
    private static final double SOFTEST = 3e-5;

    private final double[] power;
    private final double[] sums;
    private final int from;
    private final int to;
    private final double least;
    private final double independent;

    private Beginning(Wave wave) {
        boolean alike = wave.alike() >= Wave.ALIKE;
        this.power = alike ? squares(wave.mean()) : wave.energy();
        // of one wave each place says something once, of the mean of many energies as often as there are beats
        this.independent = alike ? INDEPENDENT : INDEPENDENT * Math.max(1, wave.beats() * BEAT_COUNTS);
        this.sums = new double[power.length + 1];
        double loudest = 0;
        for (int i = 0; i < power.length; i++) {
            sums[i + 1] = sums[i] + power[i];
            loudest = Math.max(loudest, power[i]);
        }
        this.least = SOFTEST * loudest + 1e-30;
        int near = steepest(wave);
        this.from = Math.max(0, near - (int) Math.round(BEFORE_SECONDS * wave.rate()));
        this.to = Math.min(power.length, near + (int) Math.round(AFTER_SECONDS * wave.rate()));
    }

    /** Where it grows most, compared over some oscillations. */
    private int steepest(Wave wave) {
        int window = (int) Math.round(COMPARED_SECONDS * wave.rate());
        int reach = (int) Math.round(EXPECTED_WITHIN_SECONDS * wave.rate());
        double best = 0;
        int near = wave.before();
        for (int i = Math.max(window, near - reach); i <= Math.min(power.length - window, wave.before() + reach); i++) {
            double before = sums[i] - sums[i - window] + window * least;
            double after = sums[i + window] - sums[i] + window * least;
            if (after / before > best) {
                best = after / before;
                near = i;
            }
        }
        return near;
    }

    /**
     * How likely the sound begins where: weights that add up to 1.
     *
     * @param weight at each place
     * @param first seconds of the first place after the one where the sound was expected
     * @param step seconds from one place to the next
     */
    record Places(double[] weight, double first, double step) {
        /** The same, counted from another place. */
        Places later(double seconds) {
            return new Places(weight, first + seconds, step);
        }

        /** In the middle of what is likely, in seconds. */
        double mean() {
            double sum = 0;
            for (int p = 0; p < weight.length; p++) {
                sum += weight[p] * p;
            }
            return first + sum * step;
        }

        /** How far it may lie from there, standard deviation in seconds. */
        double deviation() {
            double mean = (mean() - first) / step;
            double sum = 0;
            for (int p = 0; p < weight.length; p++) {
                sum += weight[p] * (p - mean) * (p - mean);
            }
            return Math.sqrt(sum) * step;
        }
    }

    /** Where the sound begins. */
    static Places of(Wave wave) {
        Beginning beginning = new Beginning(wave);
        int quiet = Math.max(8, (int) Math.round(QUIET_SECONDS * wave.rate()));
        return new Places(
                beginning.weights(wave.rate(), quiet),
                wave.seconds(beginning.from + quiet),
                1 / wave.rate() / PLACES_IN_SAMPLE);
    }

    private static double[] squares(double[] values) {
        double[] squares = new double[values.length];
        for (int i = 0; i < squares.length; i++) {
            squares[i] = values[i] * values[i];
        }
        return squares;
    }

    private double[] weights(double sampleRate, int quiet) {
        int places = PLACES_IN_SAMPLE * (to - from - quiet);
        double[][] like = new double[RISE_SECONDS.length][places];
        double best = Double.NEGATIVE_INFINITY;
        for (int r = 0; r < RISE_SECONDS.length; r++) {
            double rise = RISE_SECONDS[r] * sampleRate;
            for (int p = 0; p < places; p++) {
                double at = from + quiet + (double) p / PLACES_IN_SAMPLE;
                like[r][p] = at < to - rise - 2 ? likelihood(at, rise) : Double.NEGATIVE_INFINITY;
                best = Math.max(best, like[r][p]);
            }
        }
        double[] weights = new double[places];
        double sum = 0;
        for (double[] one : like) {
            for (int p = 0; p < places; p++) {
                double weight = Math.exp(independent * (one[p] - best));
                weights[p] += weight;
                sum += weight;
            }
        }
        for (int p = 0; p < places; p++) {
            weights[p] /= sum;
        }
        return weights;
    }

    /** Logarithm of how likely the wave is, if the sound begins here and takes so many samples to rise. */
    private double likelihood(double at, double rise) {
        int begin = (int) Math.ceil(at);
        int full = Math.min(to - 1, (int) Math.ceil(at + rise));
        double quiet = Math.max(least, (sums[begin] - sums[from]) / (begin - from));
        double loud = (sums[to] - sums[full]) / (to - full);
        if (loud <= quiet) {
            return Double.NEGATIVE_INFINITY;
        }
        double sum = (begin - from) * (Math.log(quiet) + 1) + (to - full) * (Math.log(loud) + 1);
        for (int i = begin; i < full; i++) {
            double grown = (i - at) / rise;
            double expected = quiet + (loud - quiet) * grown * grown;
            sum += Math.log(expected) + power[i] / expected;
        }
        return -sum / 2;
    }
}
