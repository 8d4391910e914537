package escrel.web.handover;

import escrel.core.job.Job;
import escrel.core.parts.Copy;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.OldPart;
import escrel.core.parts.Piece;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

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
        Stream<OldParts> parts = job.copies().old().stream()
                .map(c -> new OldParts(c.part(), c.number(), words(job, c), c.fate() != null));
        // of a piece it is said where it was put in, and corrected there
        Stream<OldParts> pieces = job.findings().pieces().stream()
                .map(p -> new OldParts(String.valueOf(p.finding().part()), 0, words(job, p), true));
        return Stream.concat(parts, pieces).toList();
    }

    private static String words(Job job, Piece piece) {
        String source = piece.finding().source();
        return "Old " + piece.finding().where(job.movement()) + ": " + fate(piece.old()) + "; the new one from "
                + source + (piece.size() == null ? "" : ", " + piece.size());
    }

    private static String fate(OldPart.@Nullable Fate fate) {
        return fate == null ? "what became of it was not said" : fate.words();
    }

    private static String words(Job job, Copy copy) {
        String which = copy.origin() == CopyAtHand.Origin.ORIGINAL
                ? "the original"
                : "the one " + copy.origin().words();
        return job.movement().requirePart(copy.part()).name() + ", " + which + ": " + fate(copy.fate());
    }
}
