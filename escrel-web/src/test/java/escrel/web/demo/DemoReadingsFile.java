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
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Works the readings of the demo out anew and writes them to {@code demo/readings.json}. Not part of the
 * test run: {@code -Dtest=DemoReadingsFile} when simulator, analysis or the stories change; {@code DemoTest} says
 * when that is due.
 */
class DemoReadingsFile {
    static CalibreSheet sheet(String id) throws IOException {
        return SheetJson.read(Files.readString(Path.of("src/main/resources/demo/calibres/" + id + ".json")));
    }

    /** A past service, before and after, as its story draws its conditions. */
    static List<Taking> takings(FinishedServices.Past past) {
        Random random = new Random(past.job());
        Condition before = FinishedServices.before(random);
        random.nextInt(9);
        random.nextInt(6);
        return List.of(
                new Taking(past.calibre(), before, past.job() * 100L),
                new Taking(past.calibre(), FinishedServices.after(random), past.job() * 100L + 50));
    }

    /** All that is taken when the demo is filled. */
    static List<Taking> all() {
        return Stream.of(
                        FinishedServices.ALL.stream().flatMap(p -> takings(p).stream()),
                        AtTheDesk.ALL.stream(),
                        AtTheDoor.ALL.stream(),
                        OnTheBench.ALL.stream(),
                        DemoWorkshop.ALL.stream())
                .flatMap(s -> s)
                .toList();
    }

    @Test
    void writeThemAnew() throws IOException {
        Map<String, Reading> all = new TreeMap<>();
        for (Taking taking : all()) {
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
