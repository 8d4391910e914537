package escrel.core.watchcase;

/** From where a case is opened. Source: craft 2.4. */
public enum Opens {
    BACK("at the back"),
    /** Loaded from the front: crystal and rings come off before the movement leaves the case. */
    FRONT("at the front only"),
    BOTH("at the back and at the front"),
    HINGED("hinged, back and bezel"),
    NOT_SAID("not said");

    private final String words;

    Opens(String words) {
        this.words = words;
    }

    /** As it is said. */
    public String words() {
        return words;
    }

    /** Whether what lies at the front comes off in every service. */
    public boolean atTheFront() {
        return this == FRONT || this == BOTH || this == HINGED;
    }

    /** Whether the movement is reached from behind before it leaves the case. */
    public boolean atTheBack() {
        return this != FRONT;
    }
}
