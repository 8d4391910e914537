package escrel.core.timing.beats;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.util.KthSelector;

/**
 * How loud a sound is over time, in blocks: the logarithm of loudness above the median block, so that one knock weighs
 * little more than a tick.
 *
 * @param values 0 for a block no louder than the median, more for louder ones
 * @param blockSeconds length of a block
 */
public record Envelope(double[] values, double blockSeconds) {
    /** Block for finding the beat rate. */
    public static final double BLOCK_SECONDS = 0.0005;
    /** Block for following single beats. */
    public static final double FINE_BLOCK_SECONDS = 0.0001;

    private static final int MEDIAN_BLOCKS = 8_000;
    private static final KthSelector MIDDLE = new KthSelector();

    /** The envelope of a sound in blocks of this length. */
    public static Envelope of(float[] samples, double sampleRate, double blockSeconds) {
        return ofEnergy(energy(samples, sampleRate, blockSeconds), blockSeconds);
    }

    /** Mean energy in blocks of this length. */
    public static double[] energy(float[] samples, double sampleRate, double blockSeconds) {
        double blockSamples = blockSeconds * sampleRate;
        int blocks = (int) (samples.length / blockSamples);
        double[] energy = new double[blocks];
        // a block has one of two lengths, and dividing takes as long as adding up a block
        int few = (int) blockSamples;
        double ofFew = 1.0 / Math.max(1, few);
        double ofMore = 1.0 / (few + 1);
        int to = 0;
        for (int b = 0; b < blocks; b++) {
            int from = to;
            to = from + few;
            double sum = 0;
            for (int i = from; i < to; i++) {
                float x = samples[i];
                sum += x * x;
            }
            // it has one sample more where its end, rounded, lies behind that
            if (to + 1 <= (b + 1) * blockSamples + 0.5 && to < samples.length) {
                float x = samples[to++];
                energy[b] = (sum + x * x) * ofMore;
            } else {
                energy[b] = sum * ofFew;
            }
        }
        return energy;
    }

    /**
     * The envelope of energies.
     *
     * @param energy mean energy in blocks of this length; its room becomes the envelope's own
     */
    public static Envelope ofEnergy(double[] energy, double blockSeconds) {
        int blocks = energy.length;
        double median = median(energy);
        // a file without any noise (a synthetic one) has a median of nothing: some floor keeps the logarithm finite
        double floor = Math.max(median, 1e-12);
        for (int b = 0; b < blocks; b++) {
            // half the blocks are no louder than the median: their logarithm is known
            energy[b] = energy[b] > floor ? Math.log(energy[b] / floor) : 0;
        }
        return new Envelope(energy, blockSeconds);
    }

    /** The median of a few thousand blocks spread over the whole is as good as that of all, and far quicker. */
    private static double median(double[] energy) {
        int stride = Math.max(1, energy.length / MEDIAN_BLOCKS);
        double[] sample = new double[energy.length / stride];
        for (int i = 0; i < sample.length; i++) {
            sample[i] = energy[i * stride];
        }
        return sample.length == 0 ? 0 : MIDDLE.select(sample, null, sample.length / 2);
    }

    /**
     * A stretch folded over a period: the mean at each place of it; 0 where nothing fell.
     *
     * @param places into how many the period is divided
     * @param from second at which the stretch begins
     * @param to second at which it ends
     * @param steady the time by a steady period of what is heard at a time; the same where nothing was lost
     */
    public double[] folded(double period, int places, double from, double to, DoubleUnaryOperator steady) {
        double[] mean = new double[places];
        int[] count = new int[places];
        int last = (int) Math.min(values.length, Math.round(to / blockSeconds));
        for (int i = (int) Math.round(from / blockSeconds); i < last; i++) {
            double turns = steady.applyAsDouble((i + 0.5) * blockSeconds) / period;
            int place = Math.min(places - 1, (int) ((turns - Math.floor(turns)) * places));
            mean[place] += values[i];
            count[place]++;
        }
        for (int place = 0; place < places; place++) {
            mean[place] /= Math.max(1, count[place]);
        }
        return mean;
    }

    /** Neighbouring blocks taken together, half as many; a last odd one is left aside. */
    public double[] inPairs() {
        double[] pairs = new double[values.length / 2];
        for (int i = 0; i < pairs.length; i++) {
            pairs[i] = 0.5 * (values[2 * i] + values[2 * i + 1]);
        }
        return pairs;
    }

    /** Means of a number of neighbours each; what is left at the end is left aside. */
    public static double[] together(double[] energy, int number) {
        double[] out = new double[energy.length / number];
        for (int i = 0; i < out.length; i++) {
            double sum = 0;
            for (int k = 0; k < number; k++) {
                sum += energy[i * number + k];
            }
            out[i] = sum / number;
        }
        return out;
    }

    /** Length in seconds. */
    public double seconds() {
        return values.length * blockSeconds;
    }
}
