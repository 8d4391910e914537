package escrel.web.readings;

import escrel.core.MendableException;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A reading as typed. Each figure is a number ("+4", "−3.5") or a range ("-12..-4", "250 to 262"); empty when it was not
 * read.
 */
record ReadingForm(
        @Nullable String rate,
        @Nullable String amplitude,
        @Nullable String beatError,
        @Nullable Trace trace,
        @Nullable String note) {
    private static final String NUMBER = "([+-]?\\d+(?:[.,]\\d+)?)";
    private static final Pattern BOUND =
            Pattern.compile("(above|over|>|below|under|<)\\s*" + NUMBER, Pattern.CASE_INSENSITIVE);
    private static final Pattern FIGURE =
            Pattern.compile(NUMBER + "(?:\\s*(?:\\.\\.+|…|to|–|/)\\s*" + NUMBER + ")?", Pattern.CASE_INSENSITIVE);

    Reading reading(Position position, LiftAngle liftAngle, @Nullable BeatRate beatRate) {
        Measured rateRead = figure("rate", rate, -5000, 5000);
        Measured amplitudeRead = figure("amplitude", amplitude, 0, 400);
        Measured beatErrorRead = figure("beat error", beatError, 0, 30);
        if (rateRead == null && amplitudeRead == null && beatErrorRead == null) {
            throw refuse("Nothing was typed for " + position.words());
        }
        return new Reading(
                position,
                rateRead,
                amplitudeRead,
                beatErrorRead,
                null,
                liftAngle,
                beatRate,
                Source.TYPED,
                trace == null ? Trace.NOT_SAID : trace,
                note == null ? "" : note.strip());
    }

    private static @Nullable Measured figure(String name, @Nullable String typed, double low, double high) {
        if (typed == null || typed.isBlank()) {
            return null;
        }
        Matcher bound = BOUND.matcher(typed.strip());
        if (bound.matches()) {
            double value = within(number(bound.group(2)), name, typed, low, high);
            return "above over >".contains(bound.group(1).toLowerCase(Locale.ROOT))
                    ? Measured.above(value)
                    : Measured.below(value);
        }
        Matcher matcher = FIGURE.matcher(typed.strip().replace('−', '-'));
        if (!matcher.matches()) {
            throw refuse("“" + typed + "” in the field " + name
                    + " is neither a number, nor a range like −12..−4, nor a bound like above 300");
        }
        double one = within(number(matcher.group(1)), name, typed, low, high);
        return matcher.group(2) == null
                ? Measured.single(one)
                : Measured.ofRange(one, within(number(matcher.group(2)), name, typed, low, high));
    }

    private static double within(double value, String name, String typed, double low, double high) {
        if (value < low || value > high) {
            throw refuse("“%s” in the field %s lies outside %.0f to %.0f".formatted(typed, name, low, high));
        }
        return value;
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what,
                "Nothing was recorded; earlier readings are as they were.",
                "Correct the field and send it again.");
    }
}
