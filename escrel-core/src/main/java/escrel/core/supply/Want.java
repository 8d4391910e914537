package escrel.core.supply;

import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * One thing a job wants from elsewhere, or wanted.
 *
 * @param key names it within the job: by its finding, or by its order where no finding asks for it
 * @param finding key of the finding it settles; nothing without one
 * @param part code of the part; nothing where it is no part of the sheet
 * @param what in words
 * @param from supplier, outworker or donor; empty where nobody said
 * @param since when it came to stand as it stands
 * @param order sequence of the order it hangs on, 0 without one
 * @param expected the day it is promised for; nothing without one
 * @param words what is to be known of it: why the one that came was wrong, on what condition it was kept
 */
public record Want(
        String key,
        State state,
        @Nullable String finding,
        @Nullable String part,
        String what,
        String from,
        Instant since,
        int order,
        @Nullable LocalDate expected,
        @Nullable Double price,
        @Nullable String size,
        String words) {
    /** How it stands. */
    public enum State {
        TO_ORDER("to get", true),
        TO_TAKE("to take from a donor", true),
        TO_SEND("to send out", true),
        ORDERED("ordered", false),
        OUT("out for work", false),
        TO_CHECK("here, to check", true),
        TO_FIT("here, to fit", true),
        /** The old part was kept on a condition; somebody has to remember which. */
        CONDITION("kept on condition", false),
        DONE("done", false),
        CALLED_OFF("called off", false);

        private final String words;
        private final boolean ours;

        State(String words, boolean ours) {
            this.words = words;
            this.ours = ours;
        }

        /** As it is said. */
        public String words() {
            return words;
        }

        /** Whether the next act is the workshop's own. */
        public boolean isOurs() {
            return ours;
        }

        /** Whether somebody else has to act. */
        public boolean isAwaited() {
            return this == ORDERED || this == OUT;
        }

        /** Whether nothing more is to be done. */
        public boolean isOver() {
            return this == DONE || this == CALLED_OFF;
        }
    }

    /** Whether it was promised for a day before this one and is not here. */
    public boolean isLate(LocalDate today) {
        return state.isAwaited() && expected != null && expected.isBefore(today);
    }
}
