package escrel.core.clock;

import escrel.core.service.Step;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** An act that sets a clock going. */
public interface Timed extends Step {
    /** Longest stage, seconds: a week. */
    int LONGEST = 7 * 24 * 3600;

    /** Most stages of a clock. */
    int MOST = 20;

    /**
     * A stretch of time.
     *
     * @param words what happens meanwhile, 1 to 80 characters
     * @param seconds 1 to {@value Timed#LONGEST}
     */
    record Stretch(String words, int seconds) {
        public Stretch {
            words = words == null ? "" : words.strip();
            if (words.isEmpty() || words.length() > 80) {
                throw new IllegalArgumentException("What a clock counts is said in 1 to 80 characters");
            }
            if (seconds < 1 || seconds > LONGEST) {
                throw new IllegalArgumentException("A clock counts a second to a week, was " + seconds + " s");
            }
        }
    }

    /** Names it for good; no two workshops make the same. */
    String id();

    /** What it is for, in words. */
    String words();

    /** Number of the job it is for; nothing for none. */
    @Nullable
    Integer job();

    /** What follows upon what; at least one. */
    List<Stretch> stretches();

    /** How long it runs as a whole. */
    default Duration length() {
        return Duration.ofSeconds(
                stretches().stream().mapToLong(Stretch::seconds).sum());
    }

    /**
     * Where it stands.
     *
     * @param stretch which of them, from 0; the last one when it is over
     * @param left of that stretch; zero when the clock is over
     * @param ends of that stretch
     */
    record Stand(int stretch, Duration left, Instant ends) {
        /** Whether it has run out. */
        public boolean isOver() {
            return left.isZero();
        }
    }

    /** Where it stands at an instant; before it was set it stands at its beginning. */
    default Stand at(Instant set, Instant now) {
        Instant ends = set;
        for (int i = 0; i < stretches().size(); i++) {
            ends = ends.plusSeconds(stretches().get(i).seconds());
            if (now.isBefore(ends)) {
                return new Stand(i, Duration.between(now, ends), ends);
            }
        }
        return new Stand(stretches().size() - 1, Duration.ZERO, ends);
    }
}
