package escrel.simulator.counter;

import java.util.Random;

/** Counts that come by chance at a steady rate: as many in a time as a Poisson distribution gives. */
public final class SimulatedCounter {
    private final Random chance;

    /** A counter; the same seed counts the same. */
    public SimulatedCounter(long seed) {
        this.chance = new Random(seed);
    }

    /**
     * Counts for a while.
     *
     * @param perMinute expected, 0 and more
     * @param minutes above 0
     */
    public int count(double perMinute, double minutes) {
        if (!(perMinute >= 0 && minutes > 0)) {
            throw new IllegalArgumentException(
                    "a rate of " + perMinute + " over " + minutes + " minutes cannot be counted");
        }
        // waiting times between decays are exponential: count how many fit
        double left = perMinute * minutes;
        int counts = -1;
        while (left >= 0) {
            left += Math.log(1 - chance.nextDouble());
            counts++;
        }
        return counts;
    }
}
