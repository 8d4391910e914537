package escrel.core.owner;

import escrel.core.service.Step;

/**
 * What the owner says was done before, by whom and when: a claim, held against what is found; the latest counts.
 *
 * @param words as they say it, at most {@value OwnerAsked#LONGEST} characters; empty when nothing is claimed after all
 */
public record ClaimSaid(String words) implements Step {
    public ClaimSaid {
        words = words == null ? "" : words.strip();
        if (words.length() > OwnerAsked.LONGEST) {
            throw new IllegalArgumentException("A claim has at most " + OwnerAsked.LONGEST + " characters");
        }
    }
}
