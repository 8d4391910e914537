package escrel.web.strip;

import escrel.core.condition.Grade;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import org.jspecify.annotations.Nullable;

/**
 * A part coming off, as the page sends it.
 *
 * @param seq what the page was made from
 * @param answered whether the questions before the step have been answered
 * @param screws how they were found, as {@link ScrewsSaid} writes it
 * @param letDown how the power came down; only with the power-down
 * @param forThisJob whether the habits it goes against say nothing more in this job
 * @param letGo whether hidden power let go only now, at this part
 */
record StripForm(
        String part,
        int seq,
        @Nullable Grade grade,
        @Nullable String screws,
        PartOff.@Nullable Plan plan,
        @Nullable String note,
        @Nullable String inSpiteOf,
        @Nullable Boolean answered,
        PartOff.@Nullable LetDown letDown,
        @Nullable Boolean forThisJob,
        @Nullable Boolean letGo) {
    // a button that was not pressed sends nothing
    boolean isAnswered() {
        return Boolean.TRUE.equals(answered);
    }

    boolean isForThisJob() {
        return Boolean.TRUE.equals(forThisJob);
    }

    boolean hasLetGo() {
        return Boolean.TRUE.equals(letGo);
    }

    ScrewsFound screwsFound() {
        return ScrewsSaid.read(text(screws));
    }

    PartOff step() {
        return new PartOff(
                part,
                grade == null ? Grade.GOOD : grade,
                screwsFound(),
                plan == null ? PartOff.Plan.KEEP : plan,
                text(note),
                text(inSpiteOf),
                null,
                letDown);
    }

    private static String text(@Nullable String value) {
        return value == null ? "" : value.strip();
    }

    /** The form before anything was chosen. */
    static StripForm fresh(String part, int seq) {
        return new StripForm(part, seq, Grade.GOOD, "", PartOff.Plan.KEEP, "", "", false, null, false, false);
    }
}
