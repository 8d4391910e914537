package escrel.web.demo;

import escrel.core.watchcase.CaseSheet;
import escrel.web.storage.CaseJson;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.core.io.ClassPathResource;

/** The cases of the demo workshop's watches, by reference. */
final class DemoCases {
    static final List<String> ALL = List.of(
            "lanthorn-lr-2",
            "tidewell-p-640",
            "tidewell-s-112",
            "tidewell-h-118",
            "skarholt-t-9",
            "merrowdale-a-31",
            "skarholt-d-77",
            "pellworth-l-8");

    private static final Map<String, String> BY_WATCH = Map.of(
            "Tidewell service watch", "tidewell-s-112",
            "Tidewell purser's automatic", "tidewell-p-640",
            "Tidewell pilot's automatic", "tidewell-p-640",
            "Skarholt day-date", "skarholt-d-77");
    private static final Map<String, CaseSheet> READ = new ConcurrentHashMap<>();

    private DemoCases() {}

    static CaseSheet called(String id) {
        return READ.computeIfAbsent(id, DemoCases::read);
    }

    /** The case of a watch of past years; nothing where no sheet was kept of it. */
    static Optional<CaseSheet> ofWatch(String watch) {
        return Optional.ofNullable(BY_WATCH.get(watch)).map(DemoCases::called);
    }

    private static CaseSheet read(String id) {
        try (InputStream in = new ClassPathResource("demo/cases/" + id + ".json").getInputStream()) {
            return CaseJson.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
