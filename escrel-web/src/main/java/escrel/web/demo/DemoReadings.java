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
import escrel.web.storage.Json;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import tools.jackson.core.type.TypeReference;

/**
 * Readings of the demo: a simulated movement in a stated condition gives sound, and the analysis that users get gives
 * the numbers. None is typed.
 */
final class DemoReadings {
    private static final double SAMPLE_RATE = 44_100;
    private static final double SECONDS = 16;

    private static final Map<String, Reading> KEPT = load();

    private DemoReadings() {}

    static List<ReadingTaken> take(
            CalibreSheet sheet, Condition condition, ReadingState state, Fitted fitted, long seed) {
        // positions are independent, and two cores halve the wait at the first start
        return Arrays.stream(Position.values())
                .parallel()
                .map(p -> new ReadingTaken(state, fitted, Wound.FULL, kept(sheet, condition, p, seed)))
                .toList();
    }

    /** The reading as it was worked out when the project was built, or worked out now; a test compares the two. */
    private static Reading kept(CalibreSheet sheet, Condition condition, Position position, long seed) {
        Reading reading = KEPT.get(key(sheet, seed, position));
        return reading != null ? reading : reading(sheet, condition, position, seed);
    }

    static String key(CalibreSheet sheet, long seed, Position position) {
        return sheet.id() + "/" + seed + "/" + position;
    }

    private static Map<String, Reading> load() {
        try (InputStream in = DemoReadings.class.getResourceAsStream("/demo/readings.json")) {
            return in == null ? Map.of() : Json.MAPPER.readValue(in, new TypeReference<Map<String, Reading>>() {});
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static Reading reading(CalibreSheet sheet, Condition condition, Position position, long seed) {
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
