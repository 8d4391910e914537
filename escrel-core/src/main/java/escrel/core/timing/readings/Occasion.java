package escrel.core.timing.readings;

import java.util.Comparator;
import org.jspecify.annotations.Nullable;

/**
 * What readings must share to be laid side by side: the state of the service, what was fitted, how far it was wound and
 * what the chronograph did.
 *
 * @param woundHours hours since full wind, when typed
 */
public record Occasion(
        ReadingState state,
        Fitted fitted,
        Wound wound,
        @Nullable Double woundHours,
        @Nullable Chronograph chronograph) implements Comparable<Occasion> {
    private static final Comparator<Occasion> ORDER = Comparator.comparing(Occasion::state)
            .thenComparing(Occasion::fitted)
            .thenComparing(Occasion::wound)
            .thenComparing(o -> o.woundHours == null ? 0 : o.woundHours)
            .thenComparing(o -> o.chronograph == Chronograph.RUNNING);

    @Override
    public int compareTo(Occasion other) {
        return ORDER.compare(this, other);
    }

    /** Key of the occasion, the same for as long as the job is: for addresses. */
    public String key() {
        return state
                + "-" + fitted
                + "-" + wound
                + (woundHours == null ? "" : "-" + woundHours)
                + (chronograph == Chronograph.RUNNING ? "-RUNNING" : "");
    }

    /** Whether a state is usually judged by it: at full wind (or nobody said), the chronograph at rest. */
    public boolean isMain() {
        return (wound == Wound.FULL || wound == Wound.UNKNOWN) && chronograph != Chronograph.RUNNING;
    }
}
