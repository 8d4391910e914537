package escrel.core.parts;

import escrel.core.service.Step;
import escrel.core.service.StepKind;
import org.jspecify.annotations.Nullable;

/**
 * A decision about a finding; a later one takes the place of an earlier one.
 *
 * @param finding key of the finding
 * @param words how it is done, or the reason
 * @param source where a replacement comes from; empty when nothing is replaced
 */
public record Decided(String finding, Decision decision, String words, String source) implements Step {
    /** What it would have to say and does not, in words; nothing when it says enough. */
    public @Nullable String lacking() {
        if (decision.needsReason() && words.isBlank()) {
            return "“" + StepKind.said(decision) + "” needs a reason";
        }
        return decision.replaces() && source.isBlank()
                ? "“" + StepKind.said(decision) + "” needs to say where the part comes from"
                : null;
    }
}
