package escrel.core.service;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.condition.Grade;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * A part came off, or the power was let down.
 *
 * @param part code on the sheet
 * @param asFound condition as found, before cleaning
 * @param plan whether it is kept or was marked for replacement with the replace key
 * @param note may be empty
 * @param inSpiteOf why the restorer went on although a rule spoke against it; empty when none did
 * @param screwsCounted how many screws came off with it, when that was not the number on the sheet
 * @param letDown how the power came down; nothing for a part, or when it was not said
 */
public record PartOff(
        String part,
        Grade asFound,
        ScrewsFound screws,
        Plan plan,
        String note,
        String inSpiteOf,
        @Nullable Integer screwsCounted,
        @Nullable LetDown letDown)
        implements Step {
    /** What is meant to happen with the part; the decision proper is taken later. */
    public enum Plan {
        KEEP,
        REPLACE
    }

    /** Ways of letting the power down. Source: craft 2.7. */
    public enum LetDown {
        /** Click held, the crown turns back between the fingers. */
        CROWN,
        /** Click held, the ratchet screw turns back under the driver. */
        RATCHET_SCREW,
        /** Click stuck: a train wheel held and let creep. */
        TRAIN_WHEEL,
        /** Nothing was wound: the spring was broken or run down. */
        NOTHING_WOUND
    }

    /** A step whose screws were as on the sheet. */
    public PartOff(String part, Grade asFound, ScrewsFound screws, Plan plan, String note, String inSpiteOf) {
        this(part, asFound, screws, plan, note, inSpiteOf, null, null);
    }

    /** An uneventful step: good, screws as on the sheet. */
    public static PartOff plain(String part) {
        return new PartOff(part, Grade.GOOD, ScrewsFound.AS_ON_SHEET, Plan.KEEP, "", "");
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new PartOff(code.apply(part), asFound, screws, plan, note, inSpiteOf, screwsCounted, letDown);
    }

    @Override
    public @Nullable Side workedOn(CalibreSheet sheet) {
        return sheet.part(part).map(Part::side).orElse(null);
    }
}
