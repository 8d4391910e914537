package escrel.core.calibre;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import org.jspecify.annotations.Nullable;

/**
 * The figures of a calibre.
 *
 * @param diameterMillimetres of the main plate
 * @param beatsPerHour stated beat rate
 * @param liftAngleDegrees nothing when nobody knows it
 * @param jewels stated number
 */
public record CalibreData(
        double diameterMillimetres,
        double beatsPerHour,
        @Nullable Double liftAngleDegrees,
        int jewels,
        Setting setting,
        Stud stud,
        WatchClass watchClass,
        String description) {
    /** What the balance pivots run in. */
    public enum Setting {
        SHOCK,
        NONE
    }

    /** How the hairspring stud is carried, which decides how a beat error is cured. */
    public enum Stud {
        FIXED,
        MOVABLE
    }

    /** The stated beat rate. */
    public BeatRate beatRate() {
        return BeatRate.of(beatsPerHour);
    }

    /** The lift angle, or the assumed default with its mark. */
    public LiftAngle liftAngle() {
        return liftAngleDegrees == null ? LiftAngle.ASSUMED_52 : LiftAngle.known(liftAngleDegrees);
    }
}
