package escrel.core.supply;

import escrel.core.service.Step;

/**
 * Something the workshop keeps a number of; said again, it takes the place of what was said before.
 *
 * @param id names it for good; no two workshops make the same
 * @param size in words; empty where it has none
 * @param place drawer or box; empty where nobody said
 * @param lowest number from which on more are wanted, 0 to {@value #MOST}
 */
public record StockKept(String id, Kind kind, String name, String size, String place, int lowest) implements Step {
    /** Highest number. */
    public static final int MOST = 100_000;

    /** What kind of thing. */
    public enum Kind {
        GASKET,
        CRYSTAL,
        STEM,
        CROWN,
        SPRING,
        SCREW,
        OTHER
    }

    public StockKept {
        id = Texts.required("Its mark", id);
        name = Texts.required("What it is", name);
        size = Texts.orEmpty("Its size", size);
        place = Texts.orEmpty("Where it lies", place);
        if (lowest < 0 || lowest > MOST) {
            throw new IllegalArgumentException("A lowest number lies between 0 and " + MOST);
        }
    }

    /** As a copy that was taken from it says: see {@link escrel.core.parts.CopyAtHand#from()}. */
    public String asSource() {
        return "stock:" + id;
    }
}
