package escrel.web.handover;

import escrel.core.job.Job;
import escrel.core.parts.Copy;
import escrel.core.parts.CopyAtHand;
import java.util.List;

/**
 * Parts taken out for others, as the hand-over and the report list them.
 *
 * @param part code of the home
 * @param copy number of the copy, 0 for the original
 * @param words which one, and what became of it
 * @param said whether it was said what became of it
 */
public record OldParts(String part, int copy, String words, boolean said) {
    static List<OldParts> of(Job job) {
        return job.copies().old().stream()
                .map(c -> new OldParts(c.part(), c.number(), words(job, c), c.fate() != null))
                .toList();
    }

    private static String words(Job job, Copy copy) {
        String which = copy.origin() == CopyAtHand.Origin.ORIGINAL
                ? "the original"
                : "the one " + copy.origin().words();
        String fate = copy.fate() == null
                ? "what became of it was not said"
                : copy.fate().words();
        return job.movement().requirePart(copy.part()).name() + ", " + which + ": " + fate;
    }
}
