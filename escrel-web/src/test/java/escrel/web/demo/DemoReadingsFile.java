package escrel.web.demo;

import escrel.core.calibre.CalibreSheet;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.simulator.movement.Condition;
import escrel.web.storage.Json;
import escrel.web.storage.SheetJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * Works the readings of the finished services out anew and writes them to {@code demo/readings.json}. Not part of the
 * test run: {@code -Dtest=DemoReadingsFile} when simulator, analysis or those services change; {@code DemoTest} says
 * when that is due.
 */
class DemoReadingsFile {
    static CalibreSheet sheet(String id) throws IOException {
        return SheetJson.read(Files.readString(Path.of("src/main/resources/demo/calibres/" + id + ".json")));
    }

    /** The conditions of a past service: before, then after, as its story draws them. */
    static Condition[] conditions(FinishedServices.Past past) {
        Random random = new Random(past.job());
        Condition before = FinishedServices.before(random);
        random.nextInt(9);
        random.nextInt(6);
        return new Condition[] {before, FinishedServices.after(random)};
    }

    @Test
    void writeThemAnew() throws IOException {
        Map<String, Reading> all = new TreeMap<>();
        for (FinishedServices.Past past : FinishedServices.ALL) {
            CalibreSheet sheet = sheet(past.calibre());
            Condition[] conditions = conditions(past);
            for (Position position : Position.values()) {
                for (int i = 0; i < 2; i++) {
                    long seed = past.job() * 100L + 50 * i;
                    all.put(
                            DemoReadings.key(sheet, seed, position),
                            DemoReadings.reading(sheet, conditions[i], position, seed));
                }
            }
        }
        for (AtTheDesk.Taking taking : AtTheDesk.ALL) {
            CalibreSheet sheet = sheet(taking.calibre());
            for (Position position : Position.values()) {
                all.put(
                        DemoReadings.key(sheet, taking.seed(), position),
                        DemoReadings.reading(sheet, taking.condition(), position, taking.seed()));
            }
        }
        // a line a reading, so that a change can be read
        String lines = all.entrySet().stream()
                .map(e -> "  " + Json.MAPPER.writeValueAsString(e.getKey()) + ": "
                        + Json.MAPPER.writeValueAsString(e.getValue()))
                .collect(Collectors.joining(",\n", "{\n", "\n}\n"));
        Files.writeString(Path.of("src/main/resources/demo/readings.json"), lines);
    }
}
