package escrel.core.outside;

import escrel.core.condition.Grade;
import escrel.core.service.Step;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Pieces of the outside were looked at; the latest of each counts.
 *
 * @param pieces one or more
 * @param grade the same for all of them; nothing where this watch has no such piece
 */
public record OutsideSeen(
        List<OutsidePiece> pieces, @Nullable Grade grade) implements Step {
    public OutsideSeen {
        pieces = List.copyOf(pieces);
        if (pieces.isEmpty()) {
            throw new IllegalArgumentException("Which piece was looked at is not said");
        }
    }
}
