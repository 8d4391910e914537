package escrel.core.parts;

import escrel.core.service.Step;

/**
 * A fragment was placed.
 *
 * @param fragment sequence of the step in which it was found
 * @param words where it comes from
 */
public record FragmentExplained(int fragment, String words) implements Step {}
