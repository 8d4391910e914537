package escrel.core.job;

import escrel.core.handover.Stage;
import escrel.core.owner.Questions;
import escrel.core.supply.Want;
import java.util.EnumSet;
import java.util.Set;

/** What a job waits for beside the work at the bench. Several at once are usual, and none of them stops the others. */
public enum Wait {
    /** The owner was asked and has not answered. */
    OWNER,
    /** A part that was decided on and is not at hand. */
    PART,
    /** Somebody outside has work of it in hand. */
    OUTWORK,
    /** A clock runs until the next reading. */
    READING;

    /** What a job waits for now; nothing once it went back. */
    public static Set<Wait> of(Job job) {
        Set<Wait> waits = EnumSet.noneOf(Wait.class);
        if (job.stage() == Stage.HANDED_OVER) {
            return waits;
        }
        if (!Questions.of(job.history()).open().isEmpty()) {
            waits.add(OWNER);
        }
        for (Want want : job.supply().wants()) {
            switch (want.state()) {
                // a part made here is work at the bench; one that is at hand is waited for no more, fitted or not
                case TO_ORDER, TO_TAKE, ORDERED -> waits.add(PART);
                case TO_SEND, OUT -> waits.add(OUTWORK);
                default -> {}
            }
        }
        if (job.nextReading().isPresent()) {
            waits.add(READING);
        }
        return waits;
    }
}
