package escrel.core.parts;

import escrel.core.calibre.CalibreSheet;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.service.RuleBook;
import java.util.HashMap;
import java.util.Map;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/**
 * Whether what was decided about a finding was carried out. By the first rule book a decision was enough; by the second
 * a part is replaced when the other one is fitted, mended when the attempt is said to have gone well. Source: M17.
 */
final class Settlement {
    private final RuleBook book;
    private final Copies copies;
    private final Map<String, FindingWorked> worked = new HashMap<>();
    private final Map<String, Integer> workedAt = new HashMap<>();
    private final Shakes shakes;

    Settlement(CalibreSheet sheet, JobHistory history, Copies copies) {
        this.shakes = new Shakes(sheet, history);
        this.book = history.ruleBook();
        this.copies = copies;
        for (RecordedStep entry : history.counting(FindingWorked.class)) {
            if (entry.step() instanceof FindingWorked step) {
                worked.put(step.finding(), step);
                workedAt.put(step.finding(), entry.sequence());
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
            case LEAVE_BY_AGREEMENT, INTERIM -> null;
            case REUSE_ON_CONDITION -> cameTrue(finding) ? "its condition came true: another decision is wanted" : null;
            case REPLACE_NEW, REPLACE_DONOR, MAKE -> replaced(finding);
            default -> carriedOut(finding);
        };
    }

    private @Nullable String replaced(Finding finding) {
        String part = finding.part();
        if (part == null || finding.isWithinPart()) {
            return carriedOut(finding);
        }
        OptionalInt fitted = copies.of(part).stream()
                .filter(c -> c.since() > finding.raisedAt() && c.fittedAt() > 0)
                .mapToInt(Copy::fittedAt)
                .max();
        if (fitted.isPresent()) {
            return shakes.isTouchedBy(part) ? shakes.owed(part, fitted.getAsInt()) : null;
        }
        boolean here = copies.of(part).stream().anyMatch(c -> c.since() > finding.raisedAt());
        return here ? "the other one is here and not fitted yet" : "the other one is not at hand yet";
    }

    /** Whether what a part was kept on condition of was said to have happened. */
    private boolean cameTrue(Finding finding) {
        FindingWorked last = worked.get(finding.key());
        return last != null
                && last.outcome() == FindingWorked.Outcome.FAILED
                && workedAt.getOrDefault(finding.key(), 0) > finding.decidedAt();
    }

    private @Nullable String carriedOut(Finding finding) {
        FindingWorked last = worked.get(finding.key());
        if (last == null || workedAt.getOrDefault(finding.key(), 0) < finding.decidedAt()) {
            return "decided, not carried out yet";
        }
        if (last.outcome() != FindingWorked.Outcome.DONE) {
            return "it failed: another decision is wanted";
        }
        return Shakes.isTouchedBy(finding.place())
                ? shakes.owed(finding.part(), workedAt.getOrDefault(finding.key(), 0))
                : null;
    }
}
