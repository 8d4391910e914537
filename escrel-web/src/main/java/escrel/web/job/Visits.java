package escrel.web.job;

import escrel.core.MendableException;
import escrel.core.service.Visit;
import escrel.core.teardown.TeardownState;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Temporary refits: a part goes in for a visit and out again, and never counts as fitted. */
@Component
public class Visits {
    private final Workshop workshop;

    Visits(Workshop workshop) {
        this.workshop = workshop;
    }

    /**
     * Begins a visit of a part that is off, or ends the one it is on.
     *
     * @return what was done, in words
     */
    @Transactional
    public String toggle(int number, int expectedSequence, String part) {
        TeardownState state = workshop.load(number).teardown();
        if (!state.isOff(part)) {
            throw new MendableException(
                    "Only a part that is off can be in for a visit",
                    "Nothing was recorded.",
                    "Choose a part that is off.");
        }
        String name = state.sheet().requirePart(part).name();
        boolean in = state.visiting().contains(part);
        workshop.append(number, expectedSequence, new Visit(part, in ? Visit.Act.END : Visit.Act.BEGIN, ""));
        return in
                ? name + " is out again: the visit is over"
                : name + " is in for a visit: it does not count as fitted";
    }
}
