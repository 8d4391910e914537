package escrel.core.order;

import escrel.core.school.School;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * One thing before another, with its weight and its reason.
 *
 * @param first what comes first
 * @param then what waits for it
 * @param why in words, as it is said to the restorer
 * @param school the question on which good people differ, for a habit; nothing for every other weight
 */
public record Constraint(
        Node first,
        Node then,
        Weight weight,
        String why,
        @Nullable School school) {
    /** From the one that is never broken by a proposal to the one that gives way first. Source: M15, craft 6. */
    public enum Weight {
        HOLD,
        SAFETY,
        SCHOOL,
        /** The usual order, or always so in the teardowns seen; nobody stated it: no remark when it is broken. */
        SEEN;

        /** Whether going on in spite of it asks for a reason in words, which is kept. */
        public boolean wantsReason() {
            return this == HOLD || this == SAFETY;
        }
    }

    /** A constraint that is no habit. */
    public Constraint(Node first, Node then, Weight weight, String why) {
        this(first, then, weight, why, null);
    }

    /** Whether breaking it asks for a reason. */
    public boolean wantsReason() {
        return weight.wantsReason();
    }

    /** Whether it is a habit of which a remark is made. */
    public boolean isSchool() {
        return weight == Weight.SCHOOL;
    }

    /** The schools among broken rules, each once. */
    public static List<School> schools(List<Constraint> broken) {
        return broken.stream()
                .flatMap(c -> Stream.ofNullable(c.school()))
                .distinct()
                .toList();
    }
}
