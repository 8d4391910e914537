package escrel.core.timing.comparison;

import escrel.core.service.JobHistory;
import escrel.core.service.OpenItem;
import escrel.core.service.RecordedStep;
import escrel.core.service.Tally;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.Intervened;
import escrel.core.timing.readings.ReadingTaken;
import java.util.List;
import java.util.Optional;

/**
 * The readings with which a watch leaves, where what was agreed ends with some: taken after the last part went on and
 * after the last act of regulation. Source: craft 2.18, M10.
 */
public final class ReadingsDue {
    private ReadingsDue() {}

    /** Sequence of the last final reading, 0 without one. */
    public static int lastFinalAt(JobHistory history) {
        return history.lastAt(ReadingTaken.class, taken -> taken.state().isFinal());
    }

    /**
     * The account of readings; balanced where nothing was agreed that ends with readings.
     *
     * @param movedAt sequence of the last part that came off or went on, 0 when none did
     */
    public static Tally tally(JobHistory history, int movedAt) {
        Optional<WorkAgreed> agreed = history.last(WorkAgreed.class);
        boolean asked = agreed.map(a -> a.work().endsWithReadings()).orElse(false);
        if (!asked) {
            return new Tally(Tally.Kind.READINGS, 0, List.of(), "no final reading was agreed");
        }
        int since = Math.max(movedAt, lastActAt(history));
        if (lastFinalAt(history) > since) {
            return new Tally(Tally.Kind.READINGS, 1, List.of(), "read after the last part went on");
        }
        return new Tally(
                Tally.Kind.READINGS,
                1,
                List.of(new OpenItem(
                        "final@" + since,
                        null,
                        lastFinalAt(history) > 0
                                ? "the final readings are older than the last thing that was done"
                                : "no final reading was taken",
                        OpenItem.Place.READINGS)),
                "");
    }

    private static int lastActAt(JobHistory history) {
        int last = 0;
        for (RecordedStep entry : history.counting(Intervened.class, Demagnetised.class)) {
            if (entry.step() instanceof Intervened || entry.step() instanceof Demagnetised) {
                last = entry.sequence();
            }
        }
        return last;
    }
}
