package escrel.core.assembly;

import escrel.core.service.Step;

/**
 * A test on the way up was made, or passed over with a reason.
 *
 * @param test code on the sheet
 * @param words what was seen, or the reason for passing it over
 */
public record TestMade(String test, Outcome outcome, String words) implements Step {
    /** How a test ended. A failed one stays open. */
    public enum Outcome {
        PASSED,
        FAILED,
        PASSED_OVER
    }
}
