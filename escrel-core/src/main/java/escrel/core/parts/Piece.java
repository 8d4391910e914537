package escrel.core.parts;

import escrel.core.parts.OldPart.Fate;
import escrel.core.service.JobHistory;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A piece that was put into a part in the place of another: a jewel, a pin, a stone. The part stays original; the piece has
 * its own size and source, and the old one its own end. Source: craft 2.10.
 *
 * @param finding that was settled by it; says the place, and by its decision the source
 * @param size its own; nothing when it was not said
 * @param old what became of the piece that was there; nothing when it was not said
 */
public record Piece(
        Finding finding, @Nullable String size, @Nullable Fate old) {

    /** The pieces that were put in, in the order of their findings. */
    static List<Piece> of(JobHistory history, List<Finding> findings) {
        Map<String, FindingWorked> last = new HashMap<>();
        Map<String, Integer> at = new HashMap<>();
        history.counting(FindingWorked.class).forEach(e -> {
            if (e.step() instanceof FindingWorked worked) {
                last.put(worked.finding(), worked);
                at.put(worked.finding(), e.sequence());
            }
        });
        List<Piece> pieces = new ArrayList<>();
        for (Finding finding : findings) {
            FindingWorked worked = last.get(finding.key());
            boolean replaces = finding.place() != null && finding.replaces();
            if (replaces
                    && worked != null
                    && worked.outcome() == FindingWorked.Outcome.DONE
                    && at.getOrDefault(finding.key(), 0) > finding.decidedAt()) {
                pieces.add(new Piece(finding, worked.size(), worked.old()));
            }
        }
        return List.copyOf(pieces);
    }
}
