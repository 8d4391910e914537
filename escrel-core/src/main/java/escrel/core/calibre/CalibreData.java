package escrel.core.calibre;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import org.jspecify.annotations.Nullable;

/**
 * The figures of a calibre.
 *
 * @param diameterMillimetres of the main plate
 * @param beatsPerHour stated beat rate; nothing when nobody stated it
 * @param liftAngleDegrees nothing when nobody knows it
 * @param jewels stated number
 * @param watchClass nothing when nobody stated it: then no target of a class judges anything
 */
public record CalibreData(
        double diameterMillimetres,
        @Nullable Double beatsPerHour,
        @Nullable Double liftAngleDegrees,
        int jewels,
        Setting setting,
        Stud stud,
        @Nullable WatchClass watchClass,
        String description) {
    /** What the balance pivots run in. */
    public enum Setting {
        SHOCK,
        NONE,
        NOT_SAID
    }

    /** How the hairspring stud is carried, which decides how a beat error is cured. */
    public enum Stud {
        FIXED,
        MOVABLE,
        NOT_SAID
    }

    /** The stated beat rate; nothing when nobody stated one. */
    public @Nullable BeatRate beatRate() {
        return beatsPerHour == null ? null : BeatRate.of(beatsPerHour);
    }

    /** The same with this said of what the balance pivots run in. */
    public CalibreData withSetting(Setting newSetting) {
        return new CalibreData(
                diameterMillimetres, beatsPerHour, liftAngleDegrees, jewels, newSetting, stud, watchClass, description);
    }

    /** The lift angle, or the assumed default with its mark. */
    public LiftAngle liftAngle() {
        return liftAngleDegrees == null ? LiftAngle.ASSUMED_52 : LiftAngle.known(liftAngleDegrees);
    }
}
