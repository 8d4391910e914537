package escrel.core.parts;

import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A finding with the decision that stands.
 *
 * @param key names it within the job; stays the same for good
 * @param at when it was recorded
 * @param part code on the sheet, or nothing
 * @param decided the last decision, or nothing
 */
public record Finding(
        String key,
        Instant at,
        @Nullable String part,
        Grade grade,
        Defect defect,
        Origin origin,
        String words,
        @Nullable Decided decided) {
    /** Ends the key of a finding on a screw, when the same step raised one on the part too. */
    static final String SCREW_SUFFIX = "s";

    /** Whether it is about a screw of the part, not the part itself. */
    public boolean isAboutScrew() {
        return key.endsWith(SCREW_SUFFIX);
    }

    /** The decision that stands, if any. */
    public Optional<Decided> decision() {
        return Optional.ofNullable(decided);
    }

    /** Whether a decision is still due: grade 3, 4 or M without one. */
    public boolean isOpen() {
        return grade.needsDecision() && decided == null;
    }

    /** Whether an interim part still waits for its replacement. */
    public boolean isInterim() {
        return decided != null && decided.decision() == Decision.INTERIM;
    }

    /** Whether a replacement was decided without saying where it comes from. */
    public boolean lacksSource() {
        return decided != null
                && decided.decision().replaces()
                && decided.source().isBlank();
    }
}
