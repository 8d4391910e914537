package escrel.core.clock;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A clock was set going.
 *
 * @param words what it is for, 1 to 200 characters
 * @param job nothing where it is for none
 */
public record ClockStarted(
        String id, String words, @Nullable Integer job, List<Stretch> stretches) implements Timed {
    public ClockStarted {
        stretches = requireStretches(stretches);
        words = words == null ? "" : words.strip();
        if (id == null || id.isBlank() || words.isEmpty() || words.length() > 200) {
            throw new IllegalArgumentException("A clock says in 1 to 200 characters what it is for");
        }
    }

    /**
     * As many as a clock has.
     *
     * @throws IllegalArgumentException when there are none or too many
     */
    public static List<Stretch> requireStretches(@Nullable List<Stretch> stretches) {
        if (stretches == null || stretches.isEmpty() || stretches.size() > MOST) {
            throw new IllegalArgumentException("A clock has 1 to " + MOST + " stretches");
        }
        return List.copyOf(stretches);
    }

    /** A clock of one stretch, with a mark nobody else has. */
    public static ClockStarted of(String words, @Nullable Integer job, int seconds) {
        return new ClockStarted(UUID.randomUUID().toString(), words, job, List.of(new Stretch(words, seconds)));
    }
}
