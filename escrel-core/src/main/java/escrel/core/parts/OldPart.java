package escrel.core.parts;

import escrel.core.service.Step;
import java.util.function.UnaryOperator;

/**
 * What became of a copy that was replaced; the latest counts.
 *
 * @param part code on the sheet
 * @param copy number of the copy, 0 for the original
 */
public record OldPart(String part, int copy, Fate fate) implements Step {
    /** What becomes of an old part. */
    public enum Fate {
        RETURNED("returned in its bag"),
        KEPT("kept"),
        SCRAPPED("scrapped");

        private final String words;

        Fate(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new OldPart(code.apply(part), copy, fate);
    }
}
