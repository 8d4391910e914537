package escrel.core.timing.beats;

/**
 * One sound of ticks or of tocks, its beats laid over each other: their mean wave, in which noise has died away, and their mean
 * energy, which does not ask that they be alike. Beats fall between the samples in ever other ways, so that together they show
 * more than one alone: every sample goes to the nearest of a few places between.
 *
 * @param mean mean wave
 * @param energy mean energy
 * @param before places before the one where the sound was expected
 * @param rate places in a second, a few times the sample rate
 * @param beats in it
 */
record Wave(double[] mean, double[] energy, int before, double rate, int beats) {
    /** From this likeness on it is the same wave that comes back; below, only the same loudness. */
    static final double ALIKE = 0.4;

    private static final double BEFORE_SECONDS = 0.0026;
    private static final double AFTER_SECONDS = 0.0016;
    // a knock in one beat counts for no more than this many mean energies
    private static final double KNOCK = 6;
    private static final double FINEST_SECONDS = 8e-6;
    private static final int MOST_BETWEEN = 3;

    /** Of the sound at these times. */
    static Wave of(float[] samples, double sampleRate, double[] times) {
        int between = (int) Math.max(1, Math.min(MOST_BETWEEN, Math.round(1 / sampleRate / FINEST_SECONDS)));
        double rate = sampleRate * between;
        int before = (int) Math.round(BEFORE_SECONDS * rate);
        int length = before + (int) Math.round(AFTER_SECONDS * rate);
        double[] mean = new double[length];
        double[] energy = new double[length];
        int[] count = new int[length];
        int whole = length / between;
        int beats = 0;
        Excerpts cut = new Excerpts(samples, sampleRate, times, before / between, whole, 1);
        double usual = usual(cut);
        for (int k = 0; k < times.length; k++) {
            if (cut.inside(k) && cut.energy(k, 0) < KNOCK * usual) {
                beats++;
                double scale = 1 / Math.sqrt(cut.energy(k, 0) + 1e-20);
                int from = (int) Math.ceil(times[k] * sampleRate - (before - 0.5) / between);
                double first = (double) from * between - (times[k] * rate - before);
                for (int i = 0; i < whole; i++) {
                    int at = (int) Math.round(first + (double) i * between);
                    if (at >= 0 && at < length) {
                        add(mean, energy, count, at, scale * samples[from + i]);
                    }
                }
            }
        }
        divide(mean, count);
        divide(energy, count);
        return new Wave(mean, energy, before, rate, beats);
    }

    private static void add(double[] mean, double[] energy, int[] count, int at, double value) {
        mean[at] += value;
        energy[at] += value * value;
        count[at]++;
    }

    /** Means of what was summed up; a place on which no sample fell is like the one before. */
    private static void divide(double[] sums, int[] count) {
        for (int i = 0; i < sums.length; i++) {
            sums[i] = count[i] == 0 && i > 0 ? sums[i - 1] : sums[i] / Math.max(1, count[i]);
        }
    }

    private static double usual(Excerpts cut) {
        double sum = 0;
        int count = 0;
        for (int k = 0; k < cut.count(); k++) {
            if (cut.inside(k)) {
                sum += cut.energy(k, 0);
                count++;
            }
        }
        return sum / Math.max(1, count);
    }

    /** Which part of the sound comes back as the same wave: 1 for all of it, 0 for none. */
    double alike() {
        double quietMean = 0;
        double quietEnergy = 0;
        int quiet = before * 2 / 3;
        for (int i = 0; i < quiet; i++) {
            quietMean += mean[i] * mean[i] / quiet;
            quietEnergy += energy[i] / quiet;
        }
        double same = 0;
        double all = 0;
        for (int i = before; i < mean.length; i++) {
            same += mean[i] * mean[i] - quietMean;
            all += energy[i] - quietEnergy;
        }
        return all > 0 ? Math.max(0, same / all) : 0;
    }

    /** Time in seconds, relative to where the sound was expected, of a place. */
    double seconds(double place) {
        return (place - before) / rate;
    }
}
