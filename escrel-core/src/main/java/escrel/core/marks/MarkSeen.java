package escrel.core.marks;

import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.service.Step;
import java.util.Locale;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * A mark was read: on arrival, or later inside. Source: craft 2.1.
 *
 * @param on what it stands on
 * @param part code of the part it stands on; nothing for the case, dial or movement as a whole
 * @param text as it stands there, at most {@value #LONGEST} characters
 */
public record MarkSeen(On on, @Nullable String part, Kind kind, String text) implements Step {
    /** Longest text of a mark. */
    public static final int LONGEST = 200;

    /** What a mark stands on. */
    public enum On {
        CASE,
        DIAL,
        MOVEMENT;

        /** What a part belongs to. */
        public static On of(Part part) {
            return part.role() == Role.DIAL ? DIAL : part.group() == Group.CASE ? CASE : MOVEMENT;
        }
    }

    /** Kinds of mark. */
    public enum Kind {
        /** A serial, or the number a part carries. */
        NUMBER("number"),
        /** A date, or a code that was read as one: a year, or month and year as 3/1961. */
        DATE("date"),
        CALIBRE("calibre"),
        HALLMARK("hallmark"),
        REPAIRER("earlier repairer's mark"),
        INSCRIPTION("inscription");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    public MarkSeen {
        text = text == null ? "" : text.strip();
        if (text.isEmpty() || text.length() > LONGEST) {
            throw new IllegalArgumentException("a mark has 1 to " + LONGEST + " characters");
        }
        if (kind == Kind.DATE) {
            MarkDate.of(text);
        }
    }

    /** What it stands on, in words. */
    public String where(UnaryOperator<String> partName) {
        return part == null ? on.name().toLowerCase(Locale.ROOT) : partName.apply(part);
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return part == null ? this : new MarkSeen(on, code.apply(part), kind, text);
    }
}
