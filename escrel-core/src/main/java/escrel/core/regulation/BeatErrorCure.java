package escrel.core.regulation;

import escrel.core.quantity.Amplitude;
import escrel.core.quantity.BeatError;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.Measured;
import java.util.Optional;

/**
 * Which turn cures a beat error. All angles are shifts of the impulse jewel in degrees, + in the sense in which the
 * restorer counts a trial move as positive, looking at the movement from the train side. Source: M4.
 */
public final class BeatErrorCure {
    /** What is turned, and how it moves the jewel. */
    public enum Handle {
        /** The stud carrier shifts the jewel the same way. */
        STUD_CARRIER(1),
        /** The collet turned on the staff shifts it the opposite way. */
        COLLET_ON_STAFF(-1),
        /** The collet with balance and cock in the hand, upside down: everything mirrored. */
        COLLET_IN_HAND(1);

        private final int sign;

        Handle(int sign) {
            this.sign = sign;
        }

        /** The turn of the handle that shifts the jewel by this angle. */
        public double turnFor(double jewelShiftDegrees) {
            return sign * jewelShiftDegrees;
        }
    }

    private BeatErrorCure() {}

    /**
     * How far the impulse jewel rests off the line of centres: {@code d = A · sin(π e / T)}. 18 000 bph, 230°, 4.2 ms →
     * 7.59°. The side is unknown.
     */
    public static double jewelOffsetDegrees(BeatRate beatRate, Amplitude amplitude, BeatError error) {
        return amplitude.degrees() * Math.sin(Math.PI * error.seconds() / beatRate.periodSeconds());
    }

    /**
     * The remaining move after a trial: the side s is the one for which {@code |s·d₁ + α|} fits the new offset.
     *
     * @param before offset before the trial, degrees, 0 or more, with its doubt
     * @param trialDegrees α, the shift of the jewel by the trial
     * @param after offset after the trial, degrees, 0 or more, with its doubt
     * @return the shift of the jewel that is still to be made, signed like the trial; nothing when neither side fits
     *     within two standard errors, because the amplitude changed or the turn was not what was meant
     */
    public static Optional<Double> remainingShift(Measured before, double trialDegrees, Measured after) {
        double error = 2 * Math.hypot(before.doubt(), after.doubt());
        double plus = before.value() + trialDegrees;
        double minus = -before.value() + trialDegrees;
        double missPlus = Math.abs(Math.abs(plus) - after.value());
        double missMinus = Math.abs(Math.abs(minus) - after.value());
        if (Math.min(missPlus, missMinus) > error) {
            return Optional.empty();
        }
        return Optional.of(missPlus < missMinus ? -plus : -minus);
    }
}
