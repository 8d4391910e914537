package escrel.core.workshop;

import escrel.core.service.Step;

/**
 * Two names are one watch: spelt otherwise, or with another owner by now.
 *
 * @param from as some jobs call it
 * @param into as it is called from now on where both are meant
 */
public record WatchesMerged(WatchName from, WatchName into) implements Step {
    public WatchesMerged {
        if (from.equals(into)) {
            throw new IllegalArgumentException("Two names of a watch differ");
        }
    }
}
