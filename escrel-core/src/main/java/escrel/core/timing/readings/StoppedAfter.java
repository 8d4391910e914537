package escrel.core.timing.readings;

import escrel.core.service.Step;

/**
 * How long it ran from full wind until it stopped: its power reserve. Source: M9.
 *
 * @param hours above 0
 */
public record StoppedAfter(double hours) implements Step {
    public StoppedAfter {
        if (!(hours > 0 && hours < 1000)) {
            throw new IllegalArgumentException("power reserve must lie between 0 and 1000 h, was " + hours);
        }
    }
}
