package escrel.web.climb;

import escrel.core.MendableException;
import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.LubricantClass;
import org.jspecify.annotations.Nullable;

/**
 * A line of the way up being done, as the page sends it.
 *
 * @param inSpiteOf why, when something would be closed over
 * @param answered whether the habit that speaks against it was read
 * @param forThisJob whether that habit says nothing more in this job
 * @param toCome how many screws of a part that goes on are not in yet
 */
record ClimbForm(
        AssemblyPlan.@Nullable Kind kind,
        String code,
        int seq,
        @Nullable String words,
        @Nullable String inSpiteOf,
        @Nullable Boolean answered,
        @Nullable Boolean forThisJob,
        @Nullable LubricantClass lubricant,
        @Nullable Integer toCome) {
    /** Which kind of line it is about; a form of ours always says so. */
    AssemblyPlan.Kind line() {
        if (kind == null || code == null) {
            throw new MendableException(
                    "It is not said which line of the climb is meant",
                    "Nothing was recorded.",
                    "Reload the page and take the line from the list.");
        }
        return kind;
    }

    // a button that was not pressed sends nothing
    boolean isAnswered() {
        return Boolean.TRUE.equals(answered);
    }

    boolean isForThisJob() {
        return Boolean.TRUE.equals(forThisJob);
    }

    String text() {
        return words == null ? "" : words.strip();
    }

    int screwsToCome() {
        return toCome == null ? 0 : toCome;
    }

    String reason() {
        return inSpiteOf == null ? "" : inSpiteOf.strip();
    }
}
