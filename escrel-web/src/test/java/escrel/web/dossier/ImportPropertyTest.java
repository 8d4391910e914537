package escrel.web.dossier;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.media.MediaStore;
import escrel.web.storage.Json;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A file with something in it spoilt is refused and changes nothing, sheets and media included; or it is taken, and then every
 * page opens. Which of the two is not asked here.
 */
@Tag("long")
class ImportPropertyTest {
    private static final int SEEDS = 120;
    private static final String[] PAGES = {
        "arrival",
        "readings",
        "running",
        "strip",
        "tray",
        "way",
        "film",
        "learnt",
        "inspect",
        "wash",
        "climb",
        "turn",
        "handover",
        "report",
        "report.pdf",
        "dossier.json",
        "readings.csv",
        "schools",
        "desk"
    };

    private static EscrelServer server;
    private static Visitor visitor;
    private static List<ObjectNode> dossiers;
    private static JsonNode sheet;

    @BeforeAll
    static void begin() {
        Visitor demo = new Visitor(EscrelServer.demo().url());
        dossiers = new ArrayList<>();
        for (int job : new int[] {3, 5, 17, 22}) {
            dossiers.add((ObjectNode) Json.MAPPER.readTree(
                    demo.get("/jobs/" + job + "/dossier.json").body()));
        }
        sheet = Json.MAPPER.readTree(demo.get("/calibres/cv-33/sheet.json").body());
        server = EscrelServer.empty();
        visitor = new Visitor(server.url());
    }

    @AfterAll
    static void end() {
        server.close();
    }

    static IntStream seeds() {
        return IntStream.range(0, SEEDS);
    }

    private static String state() {
        return visitor.get("/jobs.json").body()
                + visitor.get("/calibres").body().replaceAll("value=\"[0-9a-f-]{36}\"", "")
                + server.bean(MediaStore.class).names().size();
    }

    @ParameterizedTest(name = "dossier, seed {0}")
    @MethodSource("seeds")
    void spoiltDossierIsRefusedUnchangedOrAllItsPagesOpen(int seed) {
        Random random = new Random(seed);
        ObjectNode spoilt = dossiers.get(random.nextInt(dossiers.size())).deepCopy();
        spoilt.put("identity", new UUID(seed, seed).toString());
        for (int i = 0; i <= random.nextInt(3); i++) {
            spoil(random.nextInt(4) == 0 ? spoilt : spoilt.path("steps"), random);
        }
        String before = state();

        HttpResponse<String> answer = visitor.upload(
                "/jobs/import", Map.of(), "dossier", "d.json", spoilt.toString().getBytes(StandardCharsets.UTF_8));

        judge(answer, before);
        if (answer.statusCode() == 200) {
            String job = answer.uri().getPath().replaceAll("\\D", "");
            for (String page : PAGES) {
                assertThat(visitor.get("/jobs/" + job + "/" + page).statusCode())
                        .as(page)
                        .isEqualTo(200);
            }
            assertThat(visitor.get("/").statusCode()).isEqualTo(200);
        }
    }

    @ParameterizedTest(name = "sheet, seed {0}")
    @MethodSource("seeds")
    void spoiltSheetIsRefusedUnchangedOrItsPagesOpen(int seed) {
        Random random = new Random(1_000 + seed);
        ObjectNode spoilt = (ObjectNode) sheet.deepCopy();
        spoilt.put("id", "spoilt-" + seed);
        for (int i = 0; i <= random.nextInt(3); i++) {
            spoil(spoilt, random);
        }
        String before = state();

        HttpResponse<String> answer = visitor.upload(
                "/calibres/import",
                Map.of(),
                "sheet",
                "s.json",
                spoilt.toString().getBytes(StandardCharsets.UTF_8));

        judge(answer, before);
        if (answer.statusCode() == 200) {
            for (String page : new String[] {"", "/edit", "/sheet.json", "/schools"}) {
                assertThat(visitor.get(answer.uri().getPath() + page).statusCode())
                        .as(page)
                        .isEqualTo(200);
            }
        }
    }

    private static void judge(HttpResponse<String> answer, String before) {
        assertThat(answer.statusCode()).isIn(200, 422);
        if (answer.statusCode() == 422) {
            assertThat(answer.body())
                    .contains("Nothing was")
                    .doesNotContain(
                            "Exception", "escrel.core", "escrel.web", "java.lang", "[No class", "not a valid Double");
            assertThat(state()).as("nothing is changed by what is refused").isEqualTo(before);
        }
    }

    private static void spoil(JsonNode tree, Random random) {
        List<JsonNode> holders = new ArrayList<>();
        gather(tree, holders);
        JsonNode holder = holders.get(random.nextInt(holders.size()));
        if (holder instanceof ObjectNode object && !object.isEmpty()) {
            List<String> names = new ArrayList<>(object.propertyNames());
            String name = names.get(random.nextInt(names.size()));
            if (random.nextBoolean()) {
                object.remove(name);
            } else {
                object.set(name, other(random));
            }
        } else if (holder instanceof ArrayNode array && !array.isEmpty()) {
            int at = random.nextInt(array.size());
            switch (random.nextInt(3)) {
                case 0 -> array.remove(at);
                case 1 -> array.add(array.get(at).deepCopy());
                default -> array.set(at, other(random));
            }
        }
    }

    private static void gather(JsonNode node, List<JsonNode> holders) {
        if (node.isContainer()) {
            holders.add(node);
            node.forEach(child -> gather(child, holders));
        }
    }

    private static JsonNode other(Random random) {
        JsonNodeFactory nodes = JsonNodeFactory.instance;
        return switch (random.nextInt(8)) {
            case 0 -> nodes.nullNode();
            case 1 -> nodes.stringNode("");
            case 2 -> nodes.stringNode("DIAL_UP");
            case 3 -> nodes.stringNode("\u0000\ud800<b>" + "x".repeat(random.nextInt(30_000)));
            case 4 -> nodes.numberNode(-1);
            case 5 -> nodes.numberNode(Integer.MAX_VALUE);
            case 6 -> nodes.numberNode(1e308);
            default -> random.nextBoolean() ? nodes.arrayNode() : nodes.objectNode();
        };
    }
}
