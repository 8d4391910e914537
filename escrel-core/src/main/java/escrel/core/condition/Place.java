package escrel.core.condition;

import java.util.Locale;

/**
 * A place within a part, where a finding lies: the part itself stays what it is when only the place is put right.
 * Source: craft 2.9.
 *
 * @param kind of place
 * @param name which one ("third wheel, lower"); empty when there is only one or nobody said
 */
public record Place(Kind kind, String name) {
    /** Longest name. */
    public static final int LONGEST = 120;

    /** What places there are. */
    public enum Kind {
        JEWEL,
        HOLE,
        PIVOT,
        STONE,
        TOOTH,
        PIN,
        WALL,
        SETTING,
        FACE,
        OTHER;

        /** As said at the bench. */
        public String words() {
            return this == OTHER ? "place" : name().toLowerCase(Locale.ROOT);
        }
    }

    public Place {
        name = name == null ? "" : name.strip();
        if (name.length() > LONGEST) {
            throw new IllegalArgumentException("the name of a place has at most " + LONGEST + " characters");
        }
    }

    /** In words: "jewel, third wheel lower". */
    public String words() {
        return name.isEmpty() ? kind.words() : kind.words() + ", " + name;
    }
}
