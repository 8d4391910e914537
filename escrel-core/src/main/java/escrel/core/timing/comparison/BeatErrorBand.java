package escrel.core.timing.comparison;

import escrel.core.calibre.CalibreData;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Words for a beat error, the one source for limits. Source: M11. */
public final class BeatErrorBand {
    /** Above this the collet is far off, or something was put together wrongly. */
    public static final double LARGE_MILLIS = 3.0;

    private static final double ACCEPTED = 1.0;

    private BeatErrorBand() {}

    /** Of one figure by itself. */
    public static String words(double millis) {
        if (millis <= 0.3) {
            return "very good";
        }
        if (millis <= 0.6) {
            return "good";
        }
        return millis <= ACCEPTED ? "accepted on a fixed stud" : "to be corrected";
    }

    /**
     * Of a reading among all of its watch. A large one is the collet's, on a fixed stud, be it 7 ms; the assembly is
     * suspected only where the error was small before the service, or jumps between readings of one sitting.
     *
     * @param set that holds the reading
     * @param sets all of the job, in the order in which they were taken
     * @param stud nothing while the calibre is unknown
     * @return empty when no beat error, or only a bound of it, was read in this position
     */
    public static String words(
            ReadingSet set, Position position, List<ReadingSet> sets, CalibreData.@Nullable Stud stud) {
        Measured error = set.in(position).map(Reading::beatErrorMillis).orElse(null);
        if (error == null || error.isBound()) {
            return "";
        }
        if (error.value() <= LARGE_MILLIS) {
            return words(error.value());
        }
        if (wasSmall(set, position, sets)) {
            return "suspect the assembly: it was small before the service";
        }
        if (jumps(set, position)) {
            return "suspect the assembly: it jumps between readings";
        }
        return stud == CalibreData.Stud.FIXED ? "to be corrected, the collet first" : "to be corrected";
    }

    private static boolean wasSmall(ReadingSet set, Position position, List<ReadingSet> sets) {
        return !set.state().isBeforeService()
                && sets.stream()
                        .filter(s -> s.state().isBeforeService())
                        .flatMap(s -> errors(s, position))
                        .anyMatch(e -> e <= ACCEPTED);
    }

    private static boolean jumps(ReadingSet set, Position position) {
        DoubleSummaryStatistics all =
                errors(set, position).mapToDouble(Double::doubleValue).summaryStatistics();
        return all.getMax() - all.getMin() > ACCEPTED;
    }

    private static Stream<Double> errors(ReadingSet set, Position position) {
        return set.allIn(position).stream()
                .flatMap(r -> Stream.ofNullable(r.beatErrorMillis()))
                .filter(e -> !e.isBound())
                .map(Measured::value);
    }
}
