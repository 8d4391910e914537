package escrel.core.service;

import org.jspecify.annotations.Nullable;

/**
 * An observation in free words.
 *
 * @param part what it is about, or nothing
 */
public record Noted(@Nullable String part, String words) implements Step {}
