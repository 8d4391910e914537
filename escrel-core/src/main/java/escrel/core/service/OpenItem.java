package escrel.core.service;

import org.jspecify.annotations.Nullable;

/**
 * One thing that must be settled before the watch leaves.
 *
 * @param key names this very item: what is settled, lifted again and owed again has another key, so that a waiver never
 *     covers what comes later
 * @param part code of the part it is about, or nothing
 * @param words as it is said
 * @param where it is settled
 */
public record OpenItem(String key, @Nullable String part, String words, Place where) {
    /** Where something is settled. */
    public enum Place {
        STRIP,
        CLIMB,
        INSPECTION,
        WASHING,
        READINGS
    }
}
