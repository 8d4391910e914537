package escrel.core.mainspring;

import escrel.core.service.Step;
import java.util.List;

/**
 * The springs a workshop has or can order, as a whole list; the latest counts.
 *
 * @param springs at most {@value #MOST}
 */
public record SpringsListed(List<Stocked> springs) implements Step {
    /** Longest list. */
    public static final int MOST = 500;

    /**
     * A spring of the list.
     *
     * @param name number or drawer it is found by, at most 80 characters
     */
    public record Stocked(String name, Mainspring spring) {
        public Stocked {
            name = name == null ? "" : name.strip();
            if (name.length() > 80) {
                throw new IllegalArgumentException("The name of a spring has at most 80 characters");
            }
        }
    }

    public SpringsListed {
        springs = springs == null ? List.of() : List.copyOf(springs);
        if (springs.size() > MOST) {
            throw new IllegalArgumentException(
                    "A list has at most " + MOST + " springs, this one has " + springs.size());
        }
    }
}
