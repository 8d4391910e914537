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

    /** How much of it, as a rule. Source: craft 5. */
    public String usualAmount() {
        return switch (this) {
            case FINE_OIL -> "a drop: sink a third to a half full";
            case MEDIUM_OIL -> "a thin film";
            case PALLET -> "tiny, in rounds";
            case CONTACT_GREASE -> "a film on the contact face";
            case MAINSPRING_GREASE -> "a trace";
            case BRAKING_GREASE -> "five spots, spread";
            case GASKET_GREASE -> "a film";
            case DRY -> "stays dry";
        };
    }

    /** The letter drawn in its mark, so that the meaning is never in the colour alone. */
    public String letter() {
        return letter;
    }
}
