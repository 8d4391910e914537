package escrel.core.parts;

import escrel.core.condition.Place;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.service.RuleBook;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Whether what was decided about a finding was carried out. By the first rule book a decision was enough; by the second
 * a part is replaced when the other one is fitted, mended when the attempt is said to have gone well. Source: M17.
 */
final class Settlement {
    private static final Set<Place.Kind> SHAKES = Set.of(Place.Kind.JEWEL, Place.Kind.HOLE, Place.Kind.SETTING);

    private final RuleBook book;
    private final Copies copies;
    private final Map<String, FindingWorked> worked = new HashMap<>();
    private final Map<String, Integer> workedAt = new HashMap<>();
    private int shakenAt;
    private boolean shakeMayStay;

    Settlement(JobHistory history, Copies copies) {
        this.book = history.ruleBook();
        this.copies = copies;
        for (RecordedStep entry : history.counting()) {
            if (entry.step() instanceof FindingWorked step) {
                worked.put(step.finding(), step);
                workedAt.put(step.finding(), entry.sequence());
            } else if (entry.step() instanceof Felt felt && felt.what() == Felt.Play.END_SHAKE) {
                shakenAt = entry.sequence();
                shakeMayStay = felt.feel().mayStay();
            } else if (entry.step() instanceof Gauged gauged && gauged.what() == Gauged.What.END_SHAKE) {
                // no limits are kept: who measured it judged it
                shakenAt = entry.sequence();
                shakeMayStay = true;
            }
        }
    }

    /** What is still wanting, in words; nothing when the finding is settled. */
    @Nullable
    String wanting(Finding finding) {
        if (finding.decided() == null) {
            return finding.grade().needsDecision() ? "nothing decided" : null;
        }
        if (finding.lacksSource()) {
            return "where the replacement comes from is not said";
        }
        if (!book.asksForAll()) {
            return null;
        }
        return switch (finding.decided().decision()) {
            case LEAVE_BY_AGREEMENT, REUSE_ON_CONDITION, INTERIM -> null;
            case REPLACE_NEW, REPLACE_DONOR, MAKE -> replaced(finding);
            default -> carriedOut(finding);
        };
    }

    private @Nullable String replaced(Finding finding) {
        String part = finding.part();
        if (part == null || finding.isWithinPart()) {
            return carriedOut(finding);
        }
        boolean fitted = copies.of(part).stream().anyMatch(c -> c.since() > finding.raisedAt() && c.fittedAt() > 0);
        if (fitted) {
            return null;
        }
        boolean here = copies.of(part).stream().anyMatch(c -> c.since() > finding.raisedAt());
        return here ? "the other one is here and not fitted yet" : "the other one is not at hand yet";
    }

    /** Another jewel, hole or setting: the end-shake it touches is due again, by feel or in millimetres. Source: craft 2.10. */
    private @Nullable String shakeOwed(Finding finding) {
        Place place = finding.place();
        boolean touches = place != null && SHAKES.contains(place.kind());
        if (!touches) {
            return null;
        }
        if (shakenAt <= workedAt.getOrDefault(finding.key(), 0)) {
            return "its end-shake is to be felt or measured";
        }
        return shakeMayStay ? null : "its end-shake is not right: adjust it, then feel again";
    }

    private @Nullable String carriedOut(Finding finding) {
        FindingWorked last = worked.get(finding.key());
        if (last == null || workedAt.getOrDefault(finding.key(), 0) < finding.decidedAt()) {
            return "decided, not carried out yet";
        }
        return last.outcome() == FindingWorked.Outcome.DONE
                ? shakeOwed(finding)
                : "it failed: another decision is wanted";
    }
}
