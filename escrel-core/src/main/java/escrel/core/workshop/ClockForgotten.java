package escrel.core.workshop;

import escrel.core.service.Step;

/**
 * What was known of a device's clock holds no longer: another sound card, another crystal.
 *
 * @param device as the computer names it
 */
public record ClockForgotten(String device) implements Step {}
