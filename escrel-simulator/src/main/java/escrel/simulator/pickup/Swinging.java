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
 */
public record Swinging(
        BeatRate beatRate,
        LiftAngle liftAngle,
        double rateSecondsPerDay,
        double amplitudeDegrees,
        double jewelOffsetDegrees,
        double wanderSecondsPerDay) {
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
