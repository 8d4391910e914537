package escrel.core.owner;

import java.util.List;
import java.util.Optional;

/**
 * What an estimate may go by: how long services of the calibre took at this bench, the middle half of them, and what was found on
 * this watch besides. Hours are rounded to a half.
 *
 * @param services how many were timed; 0 where too few were for a range
 * @param hoursLow a quarter of them took less
 * @param hoursHigh a quarter took more
 * @param partsUsual what their parts came to in the middle, as far as prices were said
 * @param foundHours what is decided or likely for this watch's findings
 * @param foundParts prices of what is ordered or likely
 */
public record EstimateBasis(
        int services, double hoursLow, double hoursHigh, double partsUsual, double foundHours, double foundParts) {
    /** As few services as make a range. Ours. */
    public static final int ENOUGH = 3;

    /**
     * A service that was handed over.
     *
     * @param minutes at the bench
     * @param parts what they cost, as far as it was said
     */
    public record Past(double minutes, double parts) {}

    /** From earlier services and what was found. */
    public static EstimateBasis of(List<Past> services, double foundMinutes, double foundParts) {
        if (services.size() < ENOUGH) {
            return new EstimateBasis(0, 0, 0, 0, halves(foundMinutes / 60), foundParts);
        }
        double[] hours =
                services.stream().mapToDouble(p -> p.minutes() / 60).sorted().toArray();
        double[] parts = services.stream().mapToDouble(Past::parts).sorted().toArray();
        return new EstimateBasis(
                services.size(),
                halves(quantile(hours, 0.25)),
                halves(quantile(hours, 0.75)),
                quantile(parts, 0.5),
                halves(foundMinutes / 60),
                foundParts);
    }

    /** What the estimate comes to with it; nothing where neither services nor findings say anything. */
    public Optional<Estimate> estimate(double rate) {
        double parts = foundParts > 0 ? foundParts : partsUsual;
        return services == 0 && foundHours == 0 && parts == 0
                ? Optional.empty()
                : Optional.of(new Estimate(hoursLow + foundHours, hoursHigh + foundHours, rate, parts));
    }

    /** Where it comes from, in words. */
    public String words() {
        String past = services == 0
                ? "fewer than " + ENOUGH
                        + " services of it were timed here: the hours of the service itself are yours to say"
                : services + " services of it here: half of them took " + span() + " at the bench";
        String found = foundHours == 0 && foundParts == 0
                ? ""
                : "; what was found on this one adds about " + Estimate.plain(foundHours) + " h"
                        + (foundParts == 0 ? "" : " and " + Estimate.plain(foundParts) + " for parts");
        return past + found;
    }

    private String span() {
        return hoursLow == hoursHigh
                ? "about " + Estimate.plain(hoursLow) + " h"
                : Estimate.plain(hoursLow) + " to " + Estimate.plain(hoursHigh) + " h";
    }

    private static double halves(double hours) {
        return Math.round(2 * hours) / 2.0;
    }

    /** Between neighbours, in proportion. */
    private static double quantile(double[] sorted, double share) {
        double at = share * (sorted.length - 1);
        int below = (int) Math.floor(at);
        int above = Math.min(sorted.length - 1, below + 1);
        return sorted[below] + (at - below) * (sorted[above] - sorted[below]);
    }
}
