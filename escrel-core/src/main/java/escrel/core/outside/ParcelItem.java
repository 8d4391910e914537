package escrel.core.outside;

/** What may come in a parcel. Source: craft 2.1. */
public enum ParcelItem {
    WATCH("the watch"),
    STRAP("strap or bracelet"),
    CHAIN("chain"),
    BOX("box"),
    PAPERS("papers"),
    LINKS("spare links or pins"),
    LOOSE_PARTS("loose parts"),
    LETTER("a letter");

    private final String words;

    ParcelItem(String words) {
        this.words = words;
    }

    /** As it is said. */
    public String words() {
        return words;
    }
}
