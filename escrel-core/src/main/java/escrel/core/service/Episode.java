package escrel.core.service;

import org.jspecify.annotations.Nullable;

/**
 * A part's stay off the movement: off at, on again at. What is done to a part counts for its current episode only.
 * Source: craft 9.
 *
 * @param part code on the sheet
 * @param round number of the round in which it came off, 1 for the first
 * @param offAt sequence of the step with which it came off, or which said that its home was empty
 * @param off how it came off; nothing for a home that was empty on arrival
 * @param onAt sequence of the step with which it went on for good; 0 while it is off
 */
public record Episode(
        String part, int round, int offAt, @Nullable PartOff off, int onAt) {
    /** Whether it is off now. */
    public boolean isOpen() {
        return onAt == 0;
    }

    /** Whether its home was empty on arrival. */
    public boolean wasAbsent() {
        return off == null;
    }

    Episode closedAt(int sequence) {
        return new Episode(part, round, offAt, off, sequence);
    }
}
