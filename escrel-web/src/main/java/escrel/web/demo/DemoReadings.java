package escrel.web.demo;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.WatchClass;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Occasion;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Wound;
import escrel.core.timing.sound.Sound;
import escrel.simulator.movement.Condition;
import escrel.simulator.pickup.Room;
import escrel.simulator.pickup.SimulatedPickup;
import escrel.simulator.pickup.Swinging;
import escrel.web.sound.Analysis;
import escrel.web.sound.Recordings;
import escrel.web.storage.Json;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;

/**
 * Readings of the demo: a simulated movement in a stated condition gives sound, and the analysis that users get gives
 * the numbers. None is typed.
 */
final class DemoReadings {
    private static final double SAMPLE_RATE = 22_050;
    private static final double SECONDS = 16;

    // the simulated pick-up keeps exact time
    private static final DeviceClock CLOCK = new DeviceClock("simulated pick-up", 0, 0.0);

    private static final Map<String, Reading> KEPT = load();

    private DemoReadings() {}

    /** All positions of a cased watch. */
    static List<ReadingTaken> take(CalibreSheet sheet, Taking taking, ReadingState state) {
        // positions are independent, and two cores halve the wait where they are not kept
        return Arrays.stream(Position.values())
                .parallel()
                .map(p -> new ReadingTaken(
                        state, Fitted.CASED, Wound.FULL, kept(sheet, taking.condition(), p, taking.seed())))
                .toList();
    }

    /** Whether a reading was worked out when the project was built, so that a start need not. */
    static boolean isKept(CalibreSheet sheet, Taking taking, Position position) {
        return KEPT.containsKey(key(sheet, taking.seed(), position));
    }

    /** The reading as it was worked out when the project was built, or worked out now; a test compares the two. */
    private static Reading kept(CalibreSheet sheet, Condition condition, Position position, long seed) {
        Reading reading = KEPT.get(key(sheet, seed, position));
        return reading != null ? reading : reading(sheet, condition, position, seed);
    }

    /** One reading taken in a position on an occasion, with its recording when one is kept. */
    static ReadingTaken take(
            CalibreSheet sheet,
            Condition condition,
            Occasion occasion,
            Position position,
            long seed,
            @Nullable Integer recording) {
        Reading r = kept(sheet, condition, position, seed);
        Reading reading = new Reading(
                r.position(),
                r.rateSecondsPerDay(),
                r.amplitudeDegrees(),
                r.beatErrorMillis(),
                r.lift(),
                r.liftAngle(),
                r.beatRate(),
                r.source(),
                r.trace(),
                r.note(),
                r.clock(),
                recording);
        return new ReadingTaken(
                occasion.state(),
                occasion.fitted(),
                occasion.wound(),
                occasion.woundHours(),
                occasion.chronograph(),
                reading);
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

    /** The sound a reading is worked out from. */
    static Sound sound(CalibreSheet sheet, Condition condition, Position position, long seed) {
        double crown = sheet.data().watchClass() == WatchClass.POCKET ? 0 : 90;
        Swinging swinging = new Swinging(
                Objects.requireNonNull(sheet.data().beatRate(), "the demo's sheets state their beat"),
                sheet.data().liftAngle(),
                condition.rate(position, crown),
                condition.amplitude(position),
                condition.jewelOffset(),
                condition.wander());
        return new SimulatedPickup(SAMPLE_RATE, seed + position.ordinal())
                .listen(swinging, new Room(condition.noise(), 0, 0), SECONDS);
    }

    static Reading reading(CalibreSheet sheet, Condition condition, Position position, long seed) {
        SoundReading heard = Analysis.analyser(sheet).analyse(sound(sheet, condition, position, seed));
        return Analysis.reading(heard, position, CLOCK, Source.SIMULATED, null);
    }

    /** Keeps the sound, dial up, that a reading of the demo was worked out from. */
    static void keepSound(Recordings recordings, int job, CalibreSheet sheet, Taking taking, String name) {
        recordings.keep(
                job,
                name,
                sound(sheet, taking.condition(), Position.DIAL_UP, taking.seed()),
                "simulated pick-up",
                true);
    }
}
