package escrel.core.supply;

import escrel.core.service.Step;

/**
 * An order will not be filled: called off, or lost on the way.
 *
 * @param order sequence of the order
 * @param reason in words
 */
public record CalledOff(int order, String reason) implements Step {
    public CalledOff {
        reason = Texts.required("Why it is called off", reason);
    }
}
