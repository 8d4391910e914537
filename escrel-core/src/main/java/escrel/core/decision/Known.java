package escrel.core.decision;

import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.outside.OutsidePiece;
import escrel.core.parts.Finding;
import escrel.core.school.Schools;
import escrel.core.service.Stance;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * What is known where a finding is to be decided.
 *
 * @param part nothing for the watch as a whole, or a part no sheet has
 * @param donors names of the donors that still have the part
 * @param drawers what of it lies in the workshop's drawers, in words
 * @param bought where one of these was bought last; nothing where none was
 * @param replaced in how many other services of this calibre here the part was replaced
 * @param services how many other services had it in hand
 * @param rate of an hour in the workshop's money; nothing while nobody said
 */
public record Known(
        Finding finding,
        @Nullable Part part,
        Stance stance,
        Schools schools,
        List<String> donors,
        List<String> drawers,
        @Nullable Bought bought,
        int replaced,
        int services,
        OptionalDouble rate) {
    /**
     * A part that was bought.
     *
     * @param price nothing where it was not said
     */
    public record Bought(String source, @Nullable Double price) {}

    public Known {
        donors = List.copyOf(donors);
        drawers = List.copyOf(drawers);
    }

    /** Whether the part's name says that it is this; of a finding on the watch as a whole, whether its words do. */
    boolean isCalled(String... words) {
        String name = (part == null ? finding.words() : part.code() + " " + part.name()).toLowerCase(Locale.ROOT);
        return Arrays.stream(words).anyMatch(name::contains);
    }

    /** Whether it is seen from outside: a part of case, dial or hands, or a piece found so before any part was known. */
    boolean isSeen() {
        if (part != null) {
            return part.group() == Group.DIAL_AND_HANDS || part.group() == Group.CASE && !isCalled("seal", "gasket");
        }
        return finding.part() == null
                && Arrays.stream(OutsidePiece.values()).anyMatch(p -> p.isNamedIn(finding.words()));
    }
}
