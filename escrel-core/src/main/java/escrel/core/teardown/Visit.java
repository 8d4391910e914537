package escrel.core.teardown;

import escrel.core.service.Step;

/**
 * A part is refitted for a while (balance on the bare plate for washing) or comes off again. A visit never counts as
 * assembled.
 *
 * @param part code on the sheet
 * @param act whether the visit begins or ends
 * @param why in words
 */
public record Visit(String part, Act act, String why) implements Step {
    /** Beginning or end of a visit. */
    public enum Act {
        BEGIN,
        END
    }
}
