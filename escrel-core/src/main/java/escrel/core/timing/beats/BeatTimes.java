package escrel.core.timing.beats;

import java.util.stream.IntStream;

/** Unlocking and drop of every beat that was heard, ticks and tocks in one row in order of time. */
public final class BeatTimes {
    /** Below this agreement ticks and tocks do not take equally long, so that one of the sounds is taken for another. */
    public static final double AGREED = 0.003;

    private final int[] numbers;
    private final double[] unlocks;
    private final double[] drops;
    private final EquallyLong begin;

    /** Puts both sounds together; that ticks and tocks take equally long settles where they begin. */
    BeatTimes(int[] numbers, Sound unlocking, Sound dropping) {
        this.numbers = numbers;
        this.begin = EquallyLong.of(unlocking.places(), dropping.places());
        this.unlocks = unlocking.begun(begin.unlock());
        this.drops = dropping.begun(begin.drop());
    }

    /**
     * One sound of all beats, followed, its beginning still open.
     *
     * @param laid where each beat lies by it, in seconds; on the mean where it was predicted
     * @param places where ticks and tocks begin, after the beat
     * @param alike which part of it comes back as the same wave
     */
    record Sound(int[] numbers, double[] laid, Beginning.Places[] places, double alike) {
        /**
         * Follows a sound.
         *
         * @param predicted when each beat is expected
         * @param about where in it the sound begins, about
         * @param chained whether it may wander in a way nobody can guess
         */
        static Sound follow(
                float[] samples,
                double sampleRate,
                int[] numbers,
                double[] predicted,
                double[] about,
                boolean chained) {
            Followed followed = new Followed(samples, sampleRate, numbers, about, chained);
            double[] laid = about.clone();
            double[] mean = new double[2];
            int[] count = new int[2];
            for (int k = 0; k < laid.length; k++) {
                laid[k] += followed.shifts()[k];
                mean[numbers[k] & 1] += laid[k] - predicted[k];
                count[numbers[k] & 1]++;
            }
            Beginning.Places[] places = new Beginning.Places[2];
            for (int half = 0; half < 2; half++) {
                mean[half] /= Math.max(1, count[half]);
                places[half] = Beginning.of(followed.wave(half)).later(mean[half]);
            }
            for (int k = 0; k < laid.length; k++) {
                laid[k] -= mean[numbers[k] & 1];
            }
            return new Sound(
                    numbers,
                    laid,
                    places,
                    (followed.wave(0).alike() + followed.wave(1).alike()) / 2);
        }

        /** Where ticks and tocks begin, nothing else being known of them. */
        double[] alone() {
            return new double[] {places[0].mean(), places[1].mean()};
        }

        /** When each begins, if ticks and tocks begin so long after the beat. */
        double[] begun(double[] begin) {
            double[] times = laid.clone();
            for (int k = 0; k < times.length; k++) {
                times[k] += begin[numbers[k] & 1];
            }
            return times;
        }
    }

    /** Beat numbers, even for ticks, ascending. */
    public int[] numbers() {
        return numbers;
    }

    /** When each beat unlocks, in seconds. */
    public double[] unlocks() {
        return unlocks;
    }

    /** When each beat drops, in seconds. */
    public double[] drops() {
        return drops;
    }

    /** Middle between unlocking and drop of each beat, in seconds. */
    public double[] middles() {
        return IntStream.range(0, numbers.length)
                .mapToDouble(k -> (unlocks[k] + drops[k]) / 2)
                .toArray();
    }

    /** Drop less unlocking of each beat, in seconds. */
    public double[] lifts() {
        return IntStream.range(0, numbers.length)
                .mapToDouble(k -> drops[k] - unlocks[k])
                .toArray();
    }

    /** Lifts of ticks (0) or tocks (1) alone. */
    public double[] lifts(int half) {
        return IntStream.range(0, numbers.length)
                .filter(k -> (numbers[k] & 1) == half)
                .mapToDouble(k -> drops[k] - unlocks[k])
                .toArray();
    }

    /** Where unlocking begins in the averaged tick (0) or tock (1), in seconds after the beat's time. */
    public double unlockSeconds(int half) {
        return begin.unlock()[half];
    }

    /** Where the drop begins in the averaged tick (0) or tock (1), in seconds after the beat's time. */
    public double dropSeconds(int half) {
        return begin.drop()[half];
    }

    /** How well the beginnings of the four sounds agree that ticks and tocks take equally long: 1 when they do, 0 if not. */
    public double agreement() {
        return begin.agreement();
    }
}
