package escrel.core.casework;

import escrel.core.service.Step;

/**
 * The case was tested against water; the latest says how it is. No promise beyond it. Source: craft 2.16.
 *
 * @param bar pressure above the air's, more than 0 and at most 100 bar
 * @param way how it was tested
 * @param passed whether it held
 * @param words what was seen
 */
public record WaterTested(double bar, Way way, boolean passed, String words) implements Step {
    /** How it is tested. */
    public enum Way {
        DRY("dry, in air"),
        WET("in water");

        private final String words;

        Way(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    public WaterTested {
        words = words == null ? "" : words.strip();
        if (!(bar > 0 && bar <= 100)) {
            throw new IllegalArgumentException("A pressure lies above 0 and at most at 100 bar");
        }
        if (words.length() > CaseWorked.LONGEST) {
            throw new IllegalArgumentException(
                    "What was seen is said in at most " + CaseWorked.LONGEST + " characters");
        }
    }

    /** In words: what was tested and how it ended, and nothing else. */
    public String said() {
        String pressure = bar == Math.rint(bar) ? String.valueOf((long) bar) : String.valueOf(bar);
        return "Tested against water " + way.words() + ", at " + pressure + " bar: "
                + (passed ? "it held" : "it did not hold") + (words.isEmpty() ? "" : ", " + words);
    }
}
