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
 * @param screwsCounted when it was not the number on the sheet
 * @param letDown how the power came down; only with the power-down
 * @param forThisJob whether the habits it goes against say nothing more in this job
 * @param letGo whether hidden power let go only now, at this part
 */
record StripForm(
        String part,
        int seq,
        @Nullable Grade grade,
        @Nullable ScrewsFound screws,
        PartOff.@Nullable Plan plan,
        @Nullable String note,
        @Nullable String inSpiteOf,
        @Nullable Boolean answered,
        @Nullable Integer screwsCounted,
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

    PartOff step() {
        return new PartOff(
                part,
                grade == null ? Grade.GOOD : grade,
                screws == null ? ScrewsFound.AS_ON_SHEET : screws,
                plan == null ? PartOff.Plan.KEEP : plan,
                text(note),
                text(inSpiteOf),
                screwsCounted,
                letDown);
    }

    private static String text(@Nullable String value) {
        return value == null ? "" : value.strip();
    }

    /** The form before anything was chosen. */
    static StripForm fresh(String part, int seq) {
        return new StripForm(
                part,
                seq,
                Grade.GOOD,
                ScrewsFound.AS_ON_SHEET,
                PartOff.Plan.KEEP,
                "",
                "",
                false,
                null,
                null,
                false,
                false);
    }
}
