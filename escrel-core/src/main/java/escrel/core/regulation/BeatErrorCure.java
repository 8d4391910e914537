package escrel.core.regulation;

import escrel.core.quantity.Amplitude;
import escrel.core.quantity.BeatError;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.Measured;
import java.util.ArrayList;
import java.util.List;
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
     * What a trial turn says.
     *
     * @param shifts the shift of the jewel that is still to be made, signed like the trial: one when the side is decided;
     *     two when both sides fit within the doubt, so that another, larger trial is wanted; none when neither does,
     *     because the amplitude changed or the turn was not what was meant
     */
    public record Trial(List<Double> shifts) {
        public Trial {
            shifts = List.copyOf(shifts);
        }

        /** The remaining shift, when the side is decided. */
        public Optional<Double> decided() {
            return shifts.size() == 1 ? Optional.of(shifts.get(0)) : Optional.empty();
        }

        /** Whether both sides fit, so that the trial was too small to tell. */
        public boolean fitsBothSides() {
            return shifts.size() == 2;
        }
    }

    /**
     * The remaining move after a trial: the side s is the one for which {@code |s·d₁ + α|} fits the new offset.
     *
     * @param before offset before the trial, degrees, 0 or more, with its doubt
     * @param trialDegrees α, the shift of the jewel by the trial
     * @param after offset after the trial, degrees, 0 or more, with its doubt
     */
    public static Trial remainingShift(Measured before, double trialDegrees, Measured after) {
        double error = 2 * Math.hypot(before.standardError(), after.standardError());
        List<Double> fitting = new ArrayList<>();
        for (double side : new double[] {before.value(), -before.value()}) {
            double now = side + trialDegrees;
            if (Math.abs(Math.abs(now) - after.value()) <= error && !fitting.contains(-now)) {
                fitting.add(-now);
            }
        }
        return new Trial(fitting);
    }

    /**
     * The shift to be made where the eye saw on which side the jewel or fork rests: no trial is needed. Source: M4.
     *
     * @param offsetDegrees how far the jewel stands off, 0 or more
     * @param side +1 or −1, the side seen, in the sense in which shifts are counted
     */
    public static double shiftFor(double offsetDegrees, int side) {
        return -side * offsetDegrees;
    }
}
