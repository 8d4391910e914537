package escrel.core.clock;

import escrel.core.service.Step;

/**
 * Whoever does the work says where it stands: this stretch begins now, whatever the clock said.
 *
 * @param id of the clock
 * @param stretch from 0; as many as the clock has stretches means that all of it is over
 */
public record ClockMoved(String id, int stretch) implements Step {
    public ClockMoved {
        if (stretch < 0 || stretch > Timed.MOST) {
            throw new IllegalArgumentException("A clock has stretches from 0 to " + Timed.MOST);
        }
    }
}
