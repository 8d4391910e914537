package escrel.core.job;

import escrel.core.handover.Stage;
import escrel.core.owner.Questions;
import escrel.core.parts.Decision;
import escrel.core.parts.Finding;
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
        for (Finding finding : job.findings().all()) {
            if (isOut(finding)) {
                waits.add(OUTWORK);
            } else if (isOrdered(job, finding)) {
                waits.add(PART);
            }
        }
        if (job.nextReading().isPresent()) {
            waits.add(READING);
        }
        return waits;
    }

    private static boolean isOut(Finding finding) {
        return !finding.isSettled()
                && finding.decision()
                        .filter(d -> d.decision() == Decision.SEND_OUT)
                        .isPresent();
    }

    /** A part made here is work at the bench; one that is at hand is waited for no more, fitted or not. */
    private static boolean isOrdered(Job job, Finding finding) {
        String part = finding.part();
        boolean wanted = finding.decision()
                .map(d -> d.decision() == Decision.REPLACE_NEW
                        || d.decision() == Decision.REPLACE_DONOR
                        || d.decision() == Decision.INTERIM)
                .orElse(false);
        return wanted
                && part != null
                && !finding.isWithinPart()
                && (!finding.isSettled() || finding.isInterim())
                && job.copies().of(part).stream().noneMatch(c -> c.since() > finding.raisedAt());
    }
}
