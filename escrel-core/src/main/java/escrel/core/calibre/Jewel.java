package escrel.core.calibre;

/**
 * A jewel as counted on the sheet.
 *
 * @param kind what it does
 * @param part the part it sits in or is set on
 * @param x millimetres from the centre, towards 3
 * @param y millimetres from the centre, towards 12
 */
public record Jewel(Kind kind, String part, Side side, double x, double y) {
    /** Kinds of jewel. */
    public enum Kind {
        HOLE,
        CAP,
        PALLET,
        IMPULSE
    }
}
