package escrel.web.format;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import org.jspecify.annotations.Nullable;

/** Prices and days as they are typed and said: with comma or point, whole or to the hundredth. */
public final class Amount {
    private Amount() {}

    /** To the hundredth where it is not whole. */
    public static String words(double amount) {
        BigDecimal exact = BigDecimal.valueOf(amount).setScale(2, RoundingMode.HALF_UP);
        return exact.stripTrailingZeros().scale() <= 0
                ? exact.setScale(0, RoundingMode.UNNECESSARY).toPlainString()
                : exact.toPlainString();
    }

    /**
     * A price that was typed; nothing for nothing.
     *
     * @throws IllegalArgumentException with words for the page
     */
    public static @Nullable Double typed(String text) {
        if (text.isBlank()) {
            return null;
        }
        try {
            double amount = Double.parseDouble(text.strip().replace(',', '.'));
            if (Double.isFinite(amount)) {
                return amount;
            }
        } catch (NumberFormatException e) {
            // said below, as for what is no finite number
        }
        throw new IllegalArgumentException("“" + text.strip() + "” is no number");
    }

    /**
     * A day that was typed; nothing for nothing.
     *
     * @throws IllegalArgumentException with words for the page
     */
    public static @Nullable LocalDate day(String text) {
        try {
            return text.isBlank() ? null : LocalDate.parse(text.strip());
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException("“" + text.strip() + "” is no day", e);
        }
    }
}
