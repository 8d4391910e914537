package escrel.core.parts;

import escrel.core.service.Step;

/**
 * A fragment nobody can place yet: an open question until it is explained.
 *
 * @param words what it looks like
 * @param where it lay
 */
public record FragmentFound(String words, String where) implements Step {}
