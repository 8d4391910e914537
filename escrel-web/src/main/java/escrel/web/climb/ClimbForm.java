package escrel.web.climb;

import escrel.core.assembly.AssemblyPlan;
import org.jspecify.annotations.Nullable;

/**
 * A line of the way up being done, as the page sends it.
 *
 * @param inSpiteOf why, when something would be closed over
 */
record ClimbForm(
        AssemblyPlan.Kind kind,
        String code,
        int seq,
        @Nullable String words,
        @Nullable String inSpiteOf) {
    String text() {
        return words == null ? "" : words.strip();
    }

    String reason() {
        return inSpiteOf == null ? "" : inSpiteOf.strip();
    }
}
