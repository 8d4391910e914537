package escrel.core.supply;

import escrel.core.service.Step;

/**
 * Whom the workshop buys from or sends work to; said again, it takes the place of what was said before.
 *
 * @param name as it stands in orders, 1 to {@value Ordered#LONGEST} characters
 * @param reach how to reach them
 * @param words what is to be known: what they have, how long they take
 */
public record SupplierKept(String name, Trade trade, String reach, String words) implements Step {
    /** What one goes to them for. */
    public enum Trade {
        PARTS("parts"),
        WORK("work"),
        BOTH("parts and work");

        private final String words;

        Trade(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }

        /** Whether one goes to them for it. */
        public boolean does(Ordered.Kind kind) {
            return this == BOTH || (this == PARTS) == (kind == Ordered.Kind.PART);
        }
    }

    public SupplierKept {
        name = Texts.required("Who it is", name);
        reach = Texts.orEmpty("How to reach them", reach);
        words = Texts.orEmpty("What is to be known", words);
    }
}
