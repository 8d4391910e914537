package escrel.web.readings;

import escrel.core.job.Job;
import escrel.core.regulation.Magnetism;
import escrel.core.service.JobHistory;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is known of the watch's magnetism.
 *
 * @param said what was found and done, in words; nothing while no compass was tried
 * @param advice what comes next; empty when nothing does
 * @param alone whether there are readings on both sides of demagnetising, so that its effect can be seen alone
 */
record MagnetismView(@Nullable String said, String advice, boolean magnetised, boolean alone) {
    static MagnetismView of(Job job) {
        JobHistory history = job.history();
        List<ReadingSet> sets = job.readings();
        boolean readAfter = read(sets, ReadingState.AFTER_DEMAGNETISING);
        boolean magnetised = Magnetism.isThere(history);
        // where nothing else was agreed, the readings after it are the final ones
        boolean nothingElse = job.agreed()
                .filter(a -> a.work() == WorkAgreed.Work.DEMAGNETISE)
                .isPresent();
        boolean wants = history.last(Demagnetised.class).isPresent() && !readAfter && !nothingElse;
        return new MagnetismView(
                Magnetism.told(history).orElse(null),
                advice(magnetised, history.last(Demagnetised.class).isPresent(), wants),
                magnetised,
                read(sets, ReadingState.AS_RECEIVED) && readAfter);
    }

    private static boolean read(List<ReadingSet> sets, ReadingState state) {
        return sets.stream().anyMatch(s -> s.state() == state && s.ran());
    }

    private static String advice(boolean magnetised, boolean demagnetised, boolean wantsReading) {
        if (magnetised && !demagnetised) {
            return "Demagnetise and read again before opening: what that alone cures is not the service’s.";
        }
        return wantsReading ? "Read all positions again now, as “after demagnetising”." : "";
    }
}
