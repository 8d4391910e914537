package escrel.core.supply;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * An order with all that became of it.
 *
 * @param at sequence of the step that placed it: names it within the job
 * @param placed when
 * @param expected the day it is promised for now
 * @param came what was said of it last when it was here; nothing while it is not
 * @param cameAt sequence of that step, 0 while it is not here
 * @param cameOn when that was
 * @param calledOff why it was called off; nothing when it was not
 */
public record Order(
        int at,
        Instant placed,
        Ordered what,
        @Nullable LocalDate expected,
        @Nullable Came came,
        int cameAt,
        @Nullable Instant cameOn,
        @Nullable String calledOff) {
    static Order placed(int at, Instant when, Ordered what) {
        return new Order(at, when, what, what.expected(), null, 0, null, null);
    }

    Order putOff(PutOff to) {
        return new Order(at, placed, what, to.expected(), came, cameAt, cameOn, calledOff);
    }

    Order came(Came how, int sequence, Instant when) {
        return new Order(at, placed, what, expected, how, sequence, when, calledOff);
    }

    Order calledOff(CalledOff why) {
        return new Order(at, placed, what, expected, came, cameAt, cameOn, why.reason());
    }

    /** Whether it is still on its way. */
    public boolean isAwaited() {
        return came == null && calledOff == null;
    }

    /** Whether it is here and nobody looked at it. */
    public boolean isToCheck() {
        return calledOff == null
                && judged().filter(j -> j == Came.Judgement.UNCHECKED).isPresent();
    }

    /** Whether it came and is right. */
    public boolean isGood() {
        return judged().filter(j -> j == Came.Judgement.RIGHT).isPresent();
    }

    /** Whether nothing more is expected of it: called off, or it came wrong. */
    public boolean isVoid() {
        return calledOff != null
                || judged().filter(j -> j == Came.Judgement.WRONG).isPresent();
    }

    private Optional<Came.Judgement> judged() {
        return Optional.ofNullable(came).map(Came::judgement);
    }
}
