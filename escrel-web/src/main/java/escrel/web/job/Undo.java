package escrel.web.job;

import escrel.core.job.Acts;
import org.jspecify.annotations.Nullable;

/**
 * What the undo key of a room would do now, said before it is pressed.
 *
 * @param back the act it would take back, in words; nothing when there is none of this room
 * @param again the act that can be done again, in words; nothing when none was just taken back
 */
public record Undo(@Nullable String back, @Nullable String again) {
    /** For a room. */
    public static Undo of(OpenJob job, String room) {
        Acts acts = Acts.of(job.job());
        return new Undo(
                acts.toTakeBack(room).map(acts::words).orElse(null),
                acts.toDoAgain(room).map(acts::words).orElse(null));
    }
}
