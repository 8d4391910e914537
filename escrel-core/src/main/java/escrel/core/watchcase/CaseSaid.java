package escrel.core.watchcase;

import escrel.core.service.Step;

/**
 * Something was said of this watch's case; the latest of each fact counts, and goes before the case's sheet.
 *
 * @param value for the way of opening the name of one of {@link Opens}; for the crown YES, NO or NOT_SAID
 */
public record CaseSaid(Fact fact, String value) implements Step {
    /** Value of a crown that is screwed down. */
    public static final String YES = "YES";
    /** Value of a crown that is not. */
    public static final String NO = "NO";
    /** What was said is taken away again. */
    public static final String NOT_SAID = "NOT_SAID";

    /** What can be said. */
    public enum Fact {
        OPENS,
        SCREW_DOWN_CROWN
    }

    public CaseSaid {
        if (fact == Fact.OPENS) {
            Opens.valueOf(value);
        } else if (!YES.equals(value) && !NO.equals(value) && !NOT_SAID.equals(value)) {
            throw new IllegalArgumentException("a crown is screwed down or not, or nobody said: not " + value);
        }
    }

    /** As it is said. */
    public String words() {
        if (fact == Fact.OPENS) {
            return "the case opens " + Opens.valueOf(value).words();
        }
        return switch (value) {
            case YES -> "screw-down crown";
            case NO -> "no screw-down crown";
            default -> "screw-down crown: not said";
        };
    }
}
