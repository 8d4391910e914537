package escrel.web.arrival;

import escrel.core.owner.Estimate;
import escrel.core.owner.EstimateBasis;
import escrel.web.format.Amount;
import escrel.web.storage.Json;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * What an estimate may go by, drawn: earlier services as dots over their hours, the middle half of them as a band, and where the
 * estimate lies with what was found.
 *
 * @param dots of earlier services, 0 to 1000
 * @param from where the estimate begins, 0 to 1000
 * @param to where it ends
 * @param ticks whole hours to be named, with where they lie
 * @param estimate nothing where there is nothing to go by
 * @param fill fields of the form it would fill, as JSON
 */
record Offer(
        String words,
        List<Long> dots,
        long from,
        long to,
        Map<Integer, Long> ticks,
        @Nullable Estimate estimate,
        String fill) {
    private static final int WIDTH = 1000;

    static Offer of(List<EstimateBasis.Past> past, EstimateBasis basis, OptionalDouble rate) {
        Estimate estimate = basis.estimate(rate.orElse(0)).orElse(null);
        double longest = past.stream().mapToDouble(p -> p.minutes() / 60).max().orElse(1);
        double end = Math.ceil(Math.max(1, Math.max(longest, estimate == null ? 0 : estimate.hoursHigh())) + 0.25);
        Map<Integer, Long> ticks = new LinkedHashMap<>();
        int each = (int) Math.max(1, Math.ceil(end / 8));
        for (int hour = 0; hour <= end; hour += each) {
            ticks.put(hour, at(hour, end));
        }
        Map<String, String> fill = new LinkedHashMap<>();
        if (estimate != null) {
            fill.put("hoursLow", plain(estimate.hoursLow()));
            fill.put("hoursHigh", plain(estimate.hoursHigh()));
            fill.put("parts", Amount.words(estimate.parts()));
        }
        return new Offer(
                basis.words(),
                past.stream().map(p -> at(p.minutes() / 60, end)).toList(),
                estimate == null ? 0 : at(estimate.hoursLow(), end),
                estimate == null ? 0 : at(estimate.hoursHigh(), end),
                ticks,
                estimate,
                Json.MAPPER.writeValueAsString(fill));
    }

    private static String plain(double hours) {
        return BigDecimal.valueOf(hours).stripTrailingZeros().toPlainString();
    }

    private static long at(double hours, double end) {
        return Math.round(WIDTH * hours / end);
    }
}
