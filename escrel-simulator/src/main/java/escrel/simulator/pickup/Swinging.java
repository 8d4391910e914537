package escrel.simulator.pickup;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;

/**
 * What the balance of a simulated movement really does while it is listened to.
 *
 * @param rateSecondsPerDay + gains
 * @param amplitudeDegrees mean amplitude
 * @param jewelOffsetDegrees how far the impulse jewel rests off the line of centres
 * @param wanderSecondsPerDay slow wander of the rate
 * @param settlingDegrees by how much the amplitude is higher just after the watch was turned; it dies away in seconds
 */
public record Swinging(
        BeatRate beatRate,
        LiftAngle liftAngle,
        double rateSecondsPerDay,
        double amplitudeDegrees,
        double jewelOffsetDegrees,
        double wanderSecondsPerDay,
        double settlingDegrees) {
    private static final double SETTLING_SECONDS = 2.5;

    /** A swing that has settled. */
    public Swinging(
            BeatRate beatRate,
            LiftAngle liftAngle,
            double rateSecondsPerDay,
            double amplitudeDegrees,
            double jewelOffsetDegrees,
            double wanderSecondsPerDay) {
        this(beatRate, liftAngle, rateSecondsPerDay, amplitudeDegrees, jewelOffsetDegrees, wanderSecondsPerDay, 0);
    }

    /** The amplitude some seconds after the watch was laid down. */
    double amplitudeAt(double seconds) {
        return amplitudeDegrees + settlingDegrees * Math.exp(-Math.max(0, seconds) / SETTLING_SECONDS);
    }

    /** A steady swing in beat. */
    public static Swinging steady(BeatRate beatRate, LiftAngle liftAngle, double rate, double amplitude) {
        return new Swinging(beatRate, liftAngle, rate, amplitude, 0, 0);
    }

    /** The true full period in seconds. */
    public double periodSeconds() {
        return beatRate.periodSeconds() / (1 + rateSecondsPerDay / 86_400);
    }

    /** The true beat error in ms: {@code (T/π)·asin(d/A)}. */
    public double beatErrorMillis() {
        return periodSeconds() / Math.PI * Math.asin(Math.abs(jewelOffsetDegrees) / amplitudeDegrees) * 1000;
    }
}
