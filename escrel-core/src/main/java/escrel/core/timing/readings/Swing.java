package escrel.core.timing.readings;

import escrel.core.quantity.Amplitude;
import escrel.core.quantity.BeatError;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;

/**
 * The geometry of the swing: the balance moves as {@code θ = A sin(2πt/T)} and crosses the lift angle around its dead
 * point. Ties the time between the first and last sound of a beat to the amplitude, and beat errors as heard to true
 * ones. Source: M3, M4.
 *
 * @param beatRate of the movement
 * @param periodSeconds T: as heard where a beat was heard, else 7200/n; at +900 s/d the nominal one reads 1 % too much
 * @param liftAngle λ
 */
public record Swing(BeatRate beatRate, double periodSeconds, LiftAngle liftAngle) {
    public Swing {
        if (!(periodSeconds > 0)) {
            throw new IllegalArgumentException("the period must be above 0, was " + periodSeconds);
        }
    }

    /** Of a movement whose period was not heard, as with typed figures: T = 7200/n seconds. */
    public Swing(BeatRate beatRate, LiftAngle liftAngle) {
        this(beatRate, beatRate.periodSeconds(), liftAngle);
    }

    /**
     * Of a movement that was heard.
     *
     * @param periodSeconds two beats of the line through the beats heard, above 0
     */
    public static Swing heard(BeatRate beatRate, double periodSeconds, LiftAngle liftAngle) {
        return new Swing(beatRate, periodSeconds, liftAngle);
    }

    /**
     * Amplitude of a movement in beat: {@code A = (λ/2) / sin(π Δt / T)}. λ 52°, 28 800 bph, 7.5 ms → 276.28°.
     *
     * @param liftSeconds Δt, above 0 and below half a period
     */
    public Amplitude amplitude(double liftSeconds) {
        return amplitude(liftSeconds, 0);
    }

    /**
     * Amplitude with a beat error: {@code A = λ / (sin u + sin v)}, {@code u, v = π(Δt ± h)/T}. The plain form reads
     * about 0.8° low at 9 ms, 120° and 28 800 bph.
     *
     * @param liftSeconds Δt, the mean over tick and tock, above 0 and below half a period
     * @param heardBeatErrorSeconds h, as heard between unlocking sounds, 0 or more and below Δt
     */
    public Amplitude amplitude(double liftSeconds, double heardBeatErrorSeconds) {
        double halfPeriod = periodSeconds / 2;
        if (!(liftSeconds > 0 && liftSeconds < halfPeriod)) {
            throw new IllegalArgumentException(
                    "lift time must lie between 0 and " + halfPeriod + " s, was " + liftSeconds);
        }
        if (!(heardBeatErrorSeconds >= 0)) {
            throw new IllegalArgumentException("heard beat error must not be below 0, was " + heardBeatErrorSeconds);
        }
        double sum = Math.sin(angle(liftSeconds + heardBeatErrorSeconds))
                + Math.sin(angle(liftSeconds - heardBeatErrorSeconds));
        return Amplitude.ofDegrees(liftAngle.degrees() / sum);
    }

    /** The inverse of the plain form: Δt in seconds for an amplitude of at least half the lift angle. */
    public double liftSeconds(Amplitude amplitude) {
        double sine = liftAngle.degrees() / 2 / amplitude.degrees();
        if (!(sine <= 1)) {
            throw new IllegalArgumentException("amplitude " + amplitude.degrees() + " does not clear half the lift "
                    + "angle of " + liftAngle.degrees() + " degrees");
        }
        return periodSeconds / Math.PI * Math.asin(sine);
    }

    /**
     * The true beat error from the one heard between unlocking sounds, which comes out a little larger:
     * {@code e = (T/π) · asin((sin u − sin v)/2)}.
     *
     * @param liftSeconds Δt, the mean over tick and tock
     * @param heardSeconds h, 0 or more
     */
    public BeatError beatError(double liftSeconds, double heardSeconds) {
        double difference = Math.sin(angle(liftSeconds + heardSeconds)) - Math.sin(angle(liftSeconds - heardSeconds));
        return BeatError.ofMillis(Math.abs(periodSeconds / Math.PI * Math.asin(difference / 2)) * 1000);
    }

    /**
     * The lift angle from an amplitude seen by eye: {@code λ = 2 A sin(πΔt/T)}.
     *
     * @param seen for instance 180° at a marked rim
     */
    public static LiftAngle liftAngleFrom(BeatRate beatRate, Amplitude seen, double liftSeconds) {
        return LiftAngle.known(2 * seen.degrees() * Math.sin(Math.PI * liftSeconds / beatRate.periodSeconds()));
    }

    private double angle(double seconds) {
        return Math.PI * seconds / periodSeconds;
    }
}
