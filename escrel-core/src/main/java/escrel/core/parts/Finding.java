package escrel.core.parts;

import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A finding with the decision that stands, and whether that was carried out.
 *
 * @param key names it within the job; stays the same for good
 * @param at when it was recorded
 * @param raisedAt sequence of the step that raised it
 * @param part code on the sheet, or nothing
 * @param decided the last decision, or nothing
 * @param decidedAt sequence of that decision, 0 without one
 * @param wanting what is still wanting, in words; nothing when it is settled
 */
public record Finding(
        String key,
        Instant at,
        int raisedAt,
        @Nullable String part,
        Grade grade,
        Defect defect,
        Origin origin,
        String words,
        @Nullable Decided decided,
        int decidedAt,
        @Nullable String wanting) {
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

    /** Whether nothing is wanting: no decision was needed, or it was taken and carried out. */
    public boolean isSettled() {
        return wanting == null;
    }

    /** Whether an interim part still waits for its replacement. */
    public boolean isInterim() {
        return decided != null && decided.decision() == Decision.INTERIM;
    }

    /** Whether the decision puts another part in the place of this one. */
    public boolean replaces() {
        return decided != null && decided.decision().replaces();
    }

    /** Where a replacement comes from; empty when nothing is replaced or nobody said. */
    public String source() {
        return decided == null ? "" : decided.source();
    }

    /** Whether a replacement was decided without saying where it comes from. */
    public boolean lacksSource() {
        return replaces() && source().isBlank();
    }

    Finding wanting(@Nullable String what) {
        return new Finding(key, at, raisedAt, part, grade, defect, origin, words, decided, decidedAt, what);
    }
}
