package escrel.core.decision;

import escrel.core.parts.Decision;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * One way of dealing with a finding.
 *
 * @param words how it would be done or why, where that follows from what is known; may be empty
 * @param source where a part would come from; empty where nobody can say
 * @param minutes at the bench: as timed here, or as assumed for this kind of work ({@link Ways#assumedMinutes})
 * @param timed how many pieces of such work here the minutes come from; 0 where they are assumed
 * @param price of what has to be bought, as paid last; nothing where none was
 * @param weight what speaks for it less what speaks against it
 * @param reasons each of them, the weightiest first
 */
public record Way(
        Decision decision,
        String words,
        String source,
        int minutes,
        int timed,
        @Nullable Double price,
        int weight,
        List<Reason> reasons) {
    /**
     * A reason.
     *
     * @param weight above zero for the way, below against it
     */
    public record Reason(int weight, String words) {}

    public Way {
        reasons = List.copyOf(reasons);
    }

    /**
     * What it comes to, in the workshop's money: the minutes by the rate of an hour, and the price where one is known.
     *
     * @return nothing while nobody said what an hour costs
     */
    public OptionalDouble cost(OptionalDouble rate) {
        return rate.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(minutes / 60.0 * rate.getAsDouble() + (price == null ? 0 : price));
    }
}
