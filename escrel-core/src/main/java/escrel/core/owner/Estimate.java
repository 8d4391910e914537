package escrel.core.owner;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * What the work may cost: hours by the rate, and parts. In the workshop's money.
 *
 * @param hoursLow 0 and more
 * @param hoursHigh at least {@code hoursLow}, at most 1000
 * @param rate for an hour
 * @param parts together
 */
public record Estimate(double hoursLow, double hoursHigh, double rate, double parts) {
    private static final double MOST = 1_000_000;

    public Estimate {
        boolean sound = hoursLow >= 0
                && hoursHigh >= hoursLow
                && hoursHigh <= 1000
                && rate >= 0
                && rate <= MOST
                && parts >= 0
                && parts <= MOST;
        if (!sound) {
            throw new IllegalArgumentException(
                    "An estimate has hours from low to high, at most 1000, and a rate and parts of 0 and more");
        }
    }

    /** The lower end. */
    public double low() {
        return hoursLow * rate + parts;
    }

    /** The upper end. */
    public double high() {
        return hoursHigh * rate + parts;
    }

    /** What it is made of: "4 to 6 hours at 60, parts 85". */
    public String made() {
        return hours() + " hours at " + plain(rate) + ", parts " + plain(parts);
    }

    /** The hours alone: "4 to 6". */
    public String hours() {
        return hoursLow == hoursHigh ? plain(hoursLow) : plain(hoursLow) + " to " + plain(hoursHigh);
    }

    static String plain(double figure) {
        return BigDecimal.valueOf(figure)
                .setScale(2, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    /** In words, whole amounts. */
    public String words() {
        long low = Math.round(low());
        long high = Math.round(high());
        return low == high ? String.valueOf(low) : low + " to " + high;
    }
}
