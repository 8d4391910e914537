package escrel.core.timing.readings;

import escrel.core.quantity.LiftAngle;
import escrel.core.service.JobHistory;
import escrel.core.service.Step;

/**
 * Readings heard under an assumed lift angle, worked out again once it is known: wherever they are shown, they show the same
 * figure. Typed figures stay as read: which lift angle their machine was set to, nobody said. Source: M3.
 */
public final class KnownLift {
    private KnownLift() {}

    /** A history whose readings from sound are worked out for a known lift angle; the same history for an assumed one. */
    public static JobHistory in(JobHistory history, LiftAngle known) {
        return known.assumed() ? history : history.readAs(step -> of(step, known));
    }

    private static Step of(Step step, LiftAngle known) {
        if (!(step instanceof ReadingTaken taken)) {
            return step;
        }
        Reading reading = taken.reading();
        return reading.lift() == null || !reading.liftAngle().assumed()
                ? step
                : new ReadingTaken(
                        taken.state(),
                        taken.fitted(),
                        taken.wound(),
                        taken.woundHours(),
                        taken.chronograph(),
                        reading.withLiftAngle(known));
    }
}
