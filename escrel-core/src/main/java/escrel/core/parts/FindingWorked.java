package escrel.core.parts;

import escrel.core.service.Step;

/**
 * What was decided about a finding was attempted. A decision settles a finding only once it is done; one that failed
 * wants another decision. Source: craft 2.10, M17.
 *
 * @param finding key of the finding
 * @param words what was done, or why it failed
 */
public record FindingWorked(String finding, Outcome outcome, String words) implements Step {
    /** How an attempt ended. */
    public enum Outcome {
        DONE,
        FAILED
    }

    public FindingWorked {
        words = words == null ? "" : words;
    }
}
