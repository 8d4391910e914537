package escrel.core.supply;

import escrel.core.service.Step;

/**
 * What an hour at the bench costs from now on, in the workshop's money.
 *
 * @param rate 0 to {@value Ordered#DEAREST}
 */
public record HourRate(double rate) implements Step {
    public HourRate {
        if (!(rate >= 0 && rate <= Ordered.DEAREST)) {
            throw new IllegalArgumentException("An hour costs between 0 and 1 000 000");
        }
    }
}
