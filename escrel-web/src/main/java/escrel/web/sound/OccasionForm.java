package escrel.web.sound;

import escrel.core.MendableException;
import escrel.core.timing.readings.Chronograph;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Occasion;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Wound;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The occasion of a reading as a form gives it; what is left out stands as for a cased watch just received. */
public record OccasionForm(
        @Nullable ReadingState state,
        @Nullable Fitted fitted,
        @Nullable Wound wound,
        @Nullable String woundHours,
        @Nullable Chronograph chronograph,
        @Nullable Position position) {
    private static final double LONGEST_HOURS = 200;

    /** A form that stands for an occasion. */
    public static OccasionForm of(Occasion o) {
        return new OccasionForm(
                o.state(),
                o.fitted(),
                o.wound(),
                o.woundHours() == null ? null : String.valueOf(o.woundHours()),
                o.chronograph(),
                null);
    }

    /** The occasion. */
    public Occasion occasion() {
        Wound how = wound == null ? Wound.FULL : wound;
        return new Occasion(
                state == null ? ReadingState.AS_RECEIVED : state,
                fitted == null ? Fitted.CASED : fitted,
                how,
                how == Wound.AFTER_HOURS ? hours() : null,
                chronograph == null ? Chronograph.NOT_SAID : chronograph);
    }

    private @Nullable Double hours() {
        if (woundHours == null || woundHours.isBlank()) {
            return null;
        }
        try {
            double hours = Double.parseDouble(woundHours.strip().replace(',', '.'));
            if (hours >= 0 && hours <= LONGEST_HOURS) {
                return hours;
            }
        } catch (NumberFormatException e) {
            // said below, together with what lies out of bounds
        }
        throw new MendableException(
                "“" + woundHours + "” in the field hours since wound is no number from 0 to 200",
                "Nothing was recorded; earlier readings are as they were.",
                "Correct the field and send it again.");
    }

    /** The position, dial up when none is said. */
    public Position place() {
        return position == null ? Position.DIAL_UP : position;
    }

    /** A reading on this occasion. */
    public ReadingTaken taken(Reading reading) {
        Occasion o = occasion();
        return new ReadingTaken(o.state(), o.fitted(), o.wound(), o.woundHours(), o.chronograph(), reading);
    }

    /** The state in words. */
    public String words() {
        return occasion().state().name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
