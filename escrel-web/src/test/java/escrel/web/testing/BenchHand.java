package escrel.web.testing;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.SheetJson;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Somebody at the bench who sends what the strip page sends, quicker than a browser. */
public final class BenchHand {
    private final EscrelServer server;
    private final Visitor visitor;
    private final int job;

    public BenchHand(EscrelServer server, int job) {
        this.server = server;
        this.visitor = new Visitor(server.url());
        this.job = job;
    }

    /** A sheet of the demo, also one that the demo's library does not hold. */
    public static CalibreSheet demoSheet(String id) {
        try {
            return SheetJson.read(Files.readString(Path.of("src/main/resources/demo/calibres/" + id + ".json")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public OpenJob load() {
        return server.bean(Workshop.class).load(job);
    }

    /** Presses a line of a panel. */
    public HttpResponse<String> act(String act, String part, String value, String words, Side side) {
        Map<String, Object> form = new HashMap<>(Map.of("seq", load().sequence(), "act", act));
        form.putAll(Map.of("part", part, "value", value, "words", words, "side", side));
        return visitor.post("/jobs/" + job + "/strip/act", form);
    }

    /** Names a part in free words and returns its code. */
    public String name(String name, Group group, Side side) {
        act("NAME_FREELY", "", group.name(), name, side);
        List<Part> parts = load().movement().parts();
        return parts.get(parts.size() - 1).code();
    }

    public HttpResponse<String> off(String part) {
        return visitor.post(
                "/jobs/" + job + "/strip/off",
                Map.of("seq", load().sequence(), "part", part, "answered", "true", "inSpiteOf", ""));
    }

    public HttpResponse<String> pin(String part, Side side, double x, double y) {
        return visitor.post(
                "/jobs/" + job + "/strip/pin",
                Map.of("seq", load().sequence(), "part", part, "side", side, "x", x, "y", y));
    }

    /** Sends a form with the job's sequence. */
    public HttpResponse<String> post(String path, Map<String, ?> form) {
        Map<String, Object> all = new HashMap<>(form);
        all.put("seq", load().sequence());
        return visitor.post("/jobs/" + job + path, all);
    }

    public HttpResponse<String> get(String path) {
        return visitor.get("/jobs/" + job + path);
    }

    public HttpResponse<String> upload(String path, Map<String, ?> form, byte[] picture) {
        Map<String, Object> all = new HashMap<>(form);
        all.put("seq", load().sequence());
        return visitor.upload("/jobs/" + job + path, all, "picture", "side.png", picture);
    }

    /** What is proposed, in order. */
    public List<String> proposed() {
        OpenJob open = load();
        return open.job().wayDown().remaining().stream().map(Part::code).toList();
    }
}
