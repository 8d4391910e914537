package escrel.web.demo;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.WatchClass;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.Sound;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import escrel.simulator.movement.Condition;
import escrel.simulator.pickup.Room;
import escrel.simulator.pickup.SimulatedPickup;
import escrel.simulator.pickup.Swinging;
import java.util.Arrays;
import java.util.List;

/**
 * Readings of the demo: a simulated movement in a stated condition gives sound, and the analysis that users get gives
 * the numbers. None is typed.
 */
final class DemoReadings {
    private static final double SAMPLE_RATE = 44_100;
    private static final double SECONDS = 16;

    private DemoReadings() {}

    static List<ReadingTaken> take(
            CalibreSheet sheet, Condition condition, ReadingState state, Fitted fitted, long seed) {
        // positions are independent, and two cores halve the wait at the first start
        return Arrays.stream(Position.values())
                .parallel()
                .map(p -> new ReadingTaken(state, fitted, Wound.FULL, reading(sheet, condition, p, seed)))
                .toList();
    }

    private static Reading reading(CalibreSheet sheet, Condition condition, Position position, long seed) {
        double crown = sheet.data().watchClass() == WatchClass.POCKET ? 0 : 90;
        Swinging swinging = new Swinging(
                sheet.data().beatRate(),
                sheet.data().liftAngle(),
                condition.rate(position, crown),
                condition.amplitude(position),
                condition.jewelOffset(),
                condition.wander());
        Sound sound = new SimulatedPickup(SAMPLE_RATE, seed + position.ordinal())
                .listen(swinging, new Room(condition.noise(), 0, 0), SECONDS);
        SoundReading heard = BeatAnalyser.forBeatRate(
                        sheet.data().beatRate(), sheet.data().liftAngle())
                .analyse(sound);
        return new Reading(
                position,
                heard.rateSecondsPerDay(),
                heard.amplitudeDegrees(),
                heard.beatErrorMillis(),
                heard.lift(),
                heard.liftAngle(),
                heard.beatRate(),
                Source.SIMULATED,
                condition.wander() > 10 ? Trace.WANDERING : Trace.CLEAN,
                "");
    }
}
