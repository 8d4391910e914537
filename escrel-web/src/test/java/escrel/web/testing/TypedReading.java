package escrel.web.testing;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;

/** A reading as somebody types it: cased, fully wound, dial up, 270°. */
public final class TypedReading {
    private TypedReading() {}

    /** In a state, with a rate in s/d. */
    public static ReadingTaken of(ReadingState state, double rate) {
        return new ReadingTaken(
                state,
                Fitted.CASED,
                Wound.FULL,
                new Reading(
                        Position.DIAL_UP,
                        Measured.single(rate),
                        Measured.single(270),
                        null,
                        null,
                        LiftAngle.known(50),
                        BeatRate.of(18_000),
                        Source.TYPED,
                        Trace.CLEAN,
                        ""));
    }
}
