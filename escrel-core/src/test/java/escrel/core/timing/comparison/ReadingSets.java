package escrel.core.timing.comparison;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import java.util.EnumMap;
import java.util.Map;

/** Sets of readings for tests. */
final class ReadingSets {
    private ReadingSets() {}

    /** Rates in the order of the positions; the amplitudes 270 lying, 240 on edge. */
    static ReadingSet rates(ReadingState state, double... rates) {
        Map<Position, Reading> readings = new EnumMap<>(Position.class);
        for (int i = 0; i < rates.length; i++) {
            Position position = Position.values()[i];
            readings.put(position, reading(position, Measured.single(rates[i]), position.isHorizontal() ? 270 : 240));
        }
        return set(state, readings);
    }

    static ReadingSet set(ReadingState state, Map<Position, Reading> readings) {
        return new ReadingSet(state, readings, Fitted.CASED, Wound.FULL, null);
    }

    static Reading reading(Position position, Measured rate, double amplitude) {
        return new Reading(
                position,
                rate,
                Measured.single(amplitude),
                Measured.single(0.4),
                null,
                LiftAngle.known(50),
                BeatRate.of(18_000),
                Source.TYPED,
                Trace.CLEAN,
                "");
    }
}
