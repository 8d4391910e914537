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

/**
 * The occasion of a reading as a form gives it. What was fitted and how far it was wound stand as not said when they are left
 * out; without the moment of the service or the position there is no reading.
 */
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

    /** What a page offers when nothing was read yet: a watch just received, in its case, wound. Each can be changed there. */
    public OccasionForm proposed() {
        return new OccasionForm(
                state == null ? ReadingState.AS_RECEIVED : state,
                fitted == null ? Fitted.CASED : fitted,
                wound == null ? Wound.FULL : wound,
                woundHours,
                chronograph,
                position);
    }

    /** The occasion. */
    public Occasion occasion() {
        if (state == null) {
            throw refuse("It is not said at which moment of the service it was read");
        }
        Wound how = wound == null ? Wound.UNKNOWN : wound;
        return new Occasion(
                state,
                fitted == null ? Fitted.NOT_SAID : fitted,
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
        throw refuse("“" + woundHours + "” in the field hours since wound is no number from 0 to 200");
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what,
                "Nothing was recorded; earlier readings are as they were.",
                "Correct the field and send it again.");
    }

    /** The position. */
    public Position place() {
        if (position == null) {
            throw refuse("It is not said in which position it was read");
        }
        return position;
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
