package escrel.web.format;

import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Wound;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** How figures are written: rate to 0.1 s/d, amplitude to 1°, beat error to 0.1 ms, a true minus sign. */
@Component
public class Show {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

    /** What stands where nothing was measured. */
    public static final String NOTHING = "–";

    /** A rate with its doubt: "+4.3 ± 0.1", or a range "−12.0 … −4.0". */
    public String rate(@Nullable Measured rate) {
        return measured(rate, "%+.1f", "%.1f");
    }

    /** An amplitude with its doubt, in degrees. */
    public String amplitude(@Nullable Measured amplitude) {
        return measured(amplitude, "%.0f", "%.0f");
    }

    /** Only the value, or the middle of a range, to whole numbers. */
    public String middle(@Nullable Measured value) {
        return value == null ? NOTHING : bound(value) + minus("%.0f".formatted(value.value()));
    }

    /** Only the value, or the middle of a range, to one decimal. */
    public String middleOne(@Nullable Measured value) {
        return value == null ? NOTHING : bound(value) + minus("%.1f".formatted(value.value()));
    }

    /** A beat error with its doubt, in ms. */
    public String beatError(@Nullable Measured beatError) {
        return measured(beatError, "%.1f", "%.1f");
    }

    private static String bound(Measured value) {
        return switch (value.kind()) {
            case ABOVE -> "above ";
            case BELOW -> "below ";
            default -> "";
        };
    }

    private static String measured(@Nullable Measured value, String form, String doubtForm) {
        if (value == null) {
            return NOTHING;
        }
        if (value.isRange()) {
            return minus(form.formatted(value.low())) + " … " + minus(form.formatted(value.high()));
        }
        String number = bound(value) + minus(form.formatted(value.value()));
        if (value.kind() == Measured.Kind.UNSTATED || value.isBound()) {
            return number;
        }
        String doubt = doubtForm.formatted(value.doubt());
        // a doubt below what is shown is not none
        return number + (doubt.matches("0(\\.0)?") ? " ± <" + (doubt.equals("0") ? "1" : "0.1") : " ± " + doubt);
    }

    /** A rate or difference in s/d with its sign. */
    public String signed(OptionalDouble value) {
        return value.isPresent() ? signed(value.getAsDouble()) : NOTHING;
    }

    /** A rate in s/d with sign and unit, or the sign for nothing. */
    public String perDay(OptionalDouble value) {
        return value.isPresent() ? signed(value.getAsDouble()) + " s/d" : NOTHING;
    }

    /** A number with its sign, one decimal. */
    public String signed(double value) {
        return minus("%+.1f".formatted(value));
    }

    /** A number to one decimal. */
    public String oneDecimal(double value) {
        return minus("%.1f".formatted(value));
    }

    /** A number to one decimal, or the sign for nothing. */
    public String one(OptionalDouble value) {
        return value.isPresent() ? minus("%.1f".formatted(value.getAsDouble())) : NOTHING;
    }

    /** Whole degrees. */
    public String degrees(OptionalDouble value) {
        return value.isPresent() ? minus("%.0f".formatted(value.getAsDouble())) + "°" : NOTHING;
    }

    /** A lift angle with its mark when nobody knows it. */
    public String liftAngle(LiftAngle angle) {
        return "%s°%s".formatted(trim(angle.degrees()), angle.assumed() ? " assumed" : "");
    }

    /** A number without needless zeros. */
    public String trim(double value) {
        return value == Math.rint(value) ? minus("%.0f".formatted(value)) : minus(String.valueOf(value));
    }

    /** Beats per hour with a thin space: 18 000. */
    public String beats(double beatsPerHour) {
        return "%,.0f".formatted(beatsPerHour).replace(',', '\u202f');
    }

    /** Where a reading comes from, in words. */
    public String source(Source source) {
        return switch (source) {
            case TYPED -> "typed";
            case RECORDING -> "from its sound";
            case IMPORTED -> "from another machine’s file";
            case SIMULATED -> "simulated";
        };
    }

    /** How far it was wound, in words. */
    public String wound(@Nullable Wound wound) {
        if (wound == null) {
            return NOTHING;
        }
        return switch (wound) {
            case FULL -> "full";
            case AFTER_12_H -> "12 h ago";
            case AFTER_24_H -> "24 h ago";
            case AFTER_HOURS -> "hours ago";
            case PART -> "in part";
            case UNKNOWN -> "unknown";
        };
    }

    /** An enum constant as words. */
    public String words(@Nullable Enum<?> constant) {
        return constant == null
                ? NOTHING
                : constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** A day. */
    public String day(OffsetDateTime at) {
        return DAY.format(at);
    }

    /** A day. */
    public String day(Instant at) {
        return DAY.format(at.atZone(ZoneId.systemDefault()));
    }

    /** A day of the calendar; as everywhere with its month in letters, so that nobody takes it for another. */
    public String day(LocalDate day) {
        return DAY.format(day);
    }

    /** Day and minute. */
    public String minute(Instant at) {
        return MINUTE.format(at.atZone(ZoneId.systemDefault()));
    }

    private static String minus(String number) {
        return number.replace('-', '−');
    }
}
