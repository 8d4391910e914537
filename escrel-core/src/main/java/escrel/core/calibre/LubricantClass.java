package escrel.core.calibre;

/** Classes of lubricant; each workshop maps its own bottles to them. */
public enum LubricantClass {
    FINE_OIL("F"),
    MEDIUM_OIL("M"),
    PALLET("P"),
    CONTACT_GREASE("C"),
    MAINSPRING_GREASE("S"),
    BRAKING_GREASE("B"),
    GASKET_GREASE("G"),
    DRY("0");

    private final String letter;

    LubricantClass(String letter) {
        this.letter = letter;
    }

    /** The letter drawn in its mark, so that the meaning is never in the colour alone. */
    public String letter() {
        return letter;
    }
}
