package escrel.core.lume;

import java.util.Locale;

/** What may carry luminous paint; each is counted for itself, since one may have been painted anew. Source: craft 2.2. */
public enum LumeItem {
    DIAL,
    HOUR_HAND,
    MINUTE_HAND,
    SECONDS_HAND,
    CASE;

    /** As it is said. */
    public String words() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
