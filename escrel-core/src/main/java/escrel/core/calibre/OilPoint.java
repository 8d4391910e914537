package escrel.core.calibre;

import org.jspecify.annotations.Nullable;

/**
 * A place that is oiled or greased, with the window in which it can be reached during assembly.
 *
 * @param code unique on the sheet
 * @param part the part it belongs to; the point is due when that part was off
 * @param after earliest moment: when this part is on; nothing when it can be done before
 * @param before last moment: before this part goes on; nothing when it stays in reach
 * @param amount how much, in words
 * @param x millimetres from the centre, towards 3
 * @param y millimetres from the centre, towards 12
 */
public record OilPoint(
        String code,
        String name,
        String part,
        Side side,
        LubricantClass lubricant,
        String amount,
        @Nullable String after,
        @Nullable String before,
        double x,
        double y,
        String why) {
    /** The same point in another window. */
    OilPoint within(@Nullable String otherAfter, @Nullable String otherBefore) {
        return new OilPoint(code, name, part, side, lubricant, amount, otherAfter, otherBefore, x, y, why);
    }

    /** The same point with another class and amount, and the reason. */
    public OilPoint with(LubricantClass otherLubricant, String otherAmount, String otherWhy) {
        return new OilPoint(code, name, part, side, otherLubricant, otherAmount, after, before, x, y, otherWhy);
    }

    public OilPoint {
        why = Copies.text(why);
        amount = Copies.text(amount);
    }
}
