package escrel.web.readings;

import escrel.core.service.JobHistory;
import escrel.core.timing.readings.CompassTried;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.Source;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What is known of the watch's magnetism.
 *
 * @param said what was found and done, in words; nothing while no compass was tried
 * @param advice what comes next; empty when nothing does
 * @param alone whether there are readings on both sides of demagnetising, so that its effect can be seen alone
 */
record MagnetismView(@Nullable String said, String advice, boolean magnetised, boolean alone) {
    static MagnetismView of(JobHistory history) {
        Optional<CompassTried> compass = history.last(CompassTried.class);
        Optional<Demagnetised> done = history.last(Demagnetised.class);
        List<ReadingSet> sets = ReadingSet.of(history);
        boolean readBefore = read(sets, ReadingState.AS_RECEIVED);
        boolean readAfter = read(sets, ReadingState.AFTER_DEMAGNETISING);
        boolean magnetised = compass.map(c -> c.follows().isMagnetised()).orElse(false);
        return new MagnetismView(
                told(history), advice(magnetised, done.isPresent(), readAfter), magnetised, readBefore && readAfter);
    }

    /** What was found and done, in its order. */
    private static @Nullable String told(JobHistory history) {
        List<String> told = history.counting().stream()
                .map(s -> s.step() instanceof CompassTried c
                        ? words(c)
                        : s.step() instanceof Demagnetised d ? "demagnetised in " + d.passes() + " passes" : "")
                .filter(words -> !words.isEmpty())
                .toList();
        return told.isEmpty() ? null : String.join(" → ", told);
    }

    private static boolean read(List<ReadingSet> sets, ReadingState state) {
        return sets.stream().anyMatch(s -> s.state() == state && s.ran());
    }

    private static String words(CompassTried compass) {
        String how = switch (compass.follows()) {
            case NOT -> "the needle does not follow";
            case SLIGHTLY -> "the needle follows slightly";
            case STRONGLY -> "the needle follows strongly";
        };
        return how + (compass.source() == Source.SIMULATED ? " (simulated compass)" : "");
    }

    private static String advice(boolean magnetised, boolean demagnetised, boolean readAfter) {
        if (magnetised && !demagnetised) {
            return "Demagnetise and read again before opening: what that alone cures is not the service’s.";
        }
        return demagnetised && !readAfter ? "Read all positions again now, as “after demagnetising”." : "";
    }
}
