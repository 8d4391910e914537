package escrel.core.parts;

import escrel.core.service.Step;
import java.util.Locale;
import java.util.function.UnaryOperator;

/**
 * Play was judged by feel: the arbor pushed with pegwood, as it is done more often than measured. Source: craft 2.9.
 *
 * @param part code on the sheet
 * @param what which play
 */
public record Felt(String part, Play what, Feel feel) implements Step {
    /** Which play. */
    public enum Play {
        END_SHAKE,
        SIDE_SHAKE
    }

    /** How it feels. */
    public enum Feel {
        NONE,
        RIGHT,
        MUCH,
        /** More than it should be, and left: worse has been seen running. */
        SEEN_WORSE;

        /** Whether it may stay so. */
        public boolean mayStay() {
            return this == RIGHT || this == SEEN_WORSE;
        }

        /** As it is said. */
        public String words() {
            return this == SEEN_WORSE ? "much, seen worse: left" : name().toLowerCase(Locale.ROOT);
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Felt(code.apply(part), what, feel);
    }
}
