package escrel.core.service;

import org.jspecify.annotations.Nullable;

/**
 * A photo was taken.
 *
 * @param photo number of the stored picture within the job
 * @param part what it shows, or nothing
 * @param caption in words, may be empty
 */
public record PhotoAdded(int photo, @Nullable String part, String caption) implements Step {}
