package escrel.core.workshop;

import escrel.core.service.Step;

/**
 * Two spellings are one owner; what jobs say stays as it was said.
 *
 * @param from as some jobs call them
 * @param into as they are called from now on where both are meant
 */
public record OwnersMerged(String from, String into) implements Step {
    public OwnersMerged {
        if (from.isBlank() || into.isBlank() || from.equals(into)) {
            throw new IllegalArgumentException("Two spellings of an owner differ, and neither is empty");
        }
    }
}
