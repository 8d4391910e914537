package escrel.core.timing.readings;

/** How the watch lies or hangs while it is read. Crown sides are seen facing the dial. Source: M5. */
public enum Position {
    DIAL_UP("DU", "dial up"),
    DIAL_DOWN("DD", "dial down"),
    CROWN_UP("CU", "crown up"),
    CROWN_DOWN("CD", "crown down"),
    CROWN_LEFT("CL", "crown left"),
    CROWN_RIGHT("CR", "crown right");

    private final String mark;
    private final String words;

    Position(String mark, String words) {
        this.mark = mark;
        this.words = words;
    }

    /** Two letters, as in tables and files. */
    public String mark() {
        return mark;
    }

    /** As it is said. */
    public String words() {
        return words;
    }

    /** Whether the balance staff stands upright: dial up and dial down. */
    public boolean isHorizontal() {
        return this == DIAL_UP || this == DIAL_DOWN;
    }
}
