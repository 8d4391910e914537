package escrel.core.lubrication;

import escrel.core.service.Step;

/**
 * A bottle is empty or was thrown away.
 *
 * @param id of the bottle
 */
public record BottleGone(String id) implements Step {}
