package escrel.core.teardown;

import escrel.core.condition.Grade;
import escrel.core.service.Step;

/**
 * A part came off, or the power was let down.
 *
 * @param part code on the sheet
 * @param asFound condition as found, before cleaning
 * @param plan whether it is kept or was marked for replacement with the replace key
 * @param note may be empty
 * @param inSpiteOf why the restorer went on although a rule spoke against it; empty when none did
 */
public record PartOff(String part, Grade asFound, ScrewsFound screws, Plan plan, String note, String inSpiteOf)
        implements Step {
    /** What is meant to happen with the part; the decision proper is taken later. */
    public enum Plan {
        KEEP,
        REPLACE
    }

    /** An uneventful step: good, screws as on the sheet. */
    public static PartOff plain(String part) {
        return new PartOff(part, Grade.GOOD, ScrewsFound.AS_ON_SHEET, Plan.KEEP, "", "");
    }
}
