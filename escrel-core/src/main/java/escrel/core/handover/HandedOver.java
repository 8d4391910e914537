package escrel.core.handover;

import escrel.core.service.Step;

/**
 * The watch left the workshop.
 *
 * @param words how it was sent or to whom it was given; may be empty
 */
public record HandedOver(String words) implements Step {}
