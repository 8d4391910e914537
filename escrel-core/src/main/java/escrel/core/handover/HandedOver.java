package escrel.core.handover;

import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.Step;
import java.util.List;

/**
 * The watch left the workshop.
 *
 * @param words how it was sent or to whom it was given; may be empty
 * @param schools the habits of the workshop and the calibre on that day, by which the job is read for good; empty in records of
 *     earlier versions, which did not keep them
 */
public record HandedOver(String words, List<Choice> schools) implements Step {
    /** Records of earlier versions name no schools. */
    public HandedOver {
        schools = schools == null ? List.of() : List.copyOf(schools);
    }

    /** The watch leaves a workshop of these habits. */
    public static HandedOver from(Schools usual, String words) {
        return new HandedOver(words, usual.choices());
    }

    /** The habits it was closed under; today's where they were not kept. */
    public Schools closedUnder(Schools today) {
        return schools.isEmpty() ? today : Schools.NONE.with(schools);
    }
}
