package escrel.web;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.storage.JobMapper;
import escrel.web.storage.Json;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Recordings;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.core.io.ClassPathResource;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Bad input is answered plainly, names what was wrong, and changes nothing. */
@Tag("long")
class BadInputTest {
    private static final Map<String, String> READING =
            Map.of("state", "AS_RECEIVED", "position", "DIAL_UP", "fitted", "CASED", "wound", "FULL");

    private Visitor visitor;
    private int job;

    @BeforeEach
    void openAJob() {
        visitor = new Visitor(EscrelServer.demo().url());
        job = visitor.openJob("Bad-input watch", "cv-12");
    }

    private Map<String, Object> with(Map<String, String> fields, String... more) {
        Map<String, Object> form = new HashMap<>(fields);
        form.put("seq", visitor.sequence(job));
        for (int i = 0; i < more.length; i += 2) {
            form.put(more[i], more[i + 1]);
        }
        return form;
    }

    /** Runs a request that must be refused, and checks the plain answer and that the job stands as it stood. */
    private void refused(HttpResponse<String> answer, int before, int status, String... words) {
        assertThat(answer.statusCode()).isEqualTo(status);
        assertThat(answer.body()).contains(words).doesNotContain("Exception", "at escrel.", "Whitelabel");
        assertThat(visitor.sequence(job)).isEqualTo(before);
    }

    static Stream<Arguments> sounds() {
        byte[] whole = Recordings.cv12(5, 270);
        byte[] silent = whole.clone();
        Arrays.fill(silent, 44, silent.length, (byte) 0);
        byte[] noise = whole.clone();
        new Random(1).nextBytes(noise);
        System.arraycopy(whole, 0, noise, 0, 44);
        byte[] brokenHeader = whole.clone();
        brokenHeader[20] = 77;
        return Stream.of(
                Arguments.of("text", "not a sound".getBytes(StandardCharsets.UTF_8), "not a WAV"),
                Arguments.of("empty", new byte[0], "not a WAV"),
                Arguments.of("cut short", Arrays.copyOf(whole, whole.length / 2), "cut short"),
                Arguments.of("silent", silent, "silent"),
                Arguments.of("noise", noise, "No steady beat"),
                Arguments.of("too short", shortened(whole), "at least 4 s"),
                Arguments.of("broken header", brokenHeader, "WAV"));
    }

    /** Two seconds, with an honest header. */
    private static byte[] shortened(byte[] whole) {
        int bytes = 2 * 44_100 * 2;
        byte[] out = Arrays.copyOf(whole, 44 + bytes);
        for (int i = 0; i < 4; i++) {
            out[4 + i] = (byte) ((36 + bytes) >> (8 * i));
            out[40 + i] = (byte) (bytes >> (8 * i));
        }
        return out;
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("sounds")
    void soundThatIsNone(String name, byte[] file, String words) {
        Map<String, Object> form = with(READING);
        int before = visitor.sequence(job);

        HttpResponse<String> answer =
                visitor.upload("/jobs/" + job + "/readings/recording", form, "sound", "x.wav", file);

        refused(answer, before, 422, words);
    }

    @Test
    void pictureLargerThanItMayBe() {
        int before = visitor.sequence(job);

        HttpResponse<String> answer = visitor.upload(
                "/jobs/" + job + "/photos", Map.of("seq", before), "picture", "x.jpg", new byte[65 * 1024 * 1024]);

        refused(answer, before, 413, "A picture may have 64 MB", "Nothing was recorded");
    }

    @ParameterizedTest
    @CsvSource({"rate, fast", "amplitude, 2 7 0", "beatError, -3", "rate, 99999", "amplitude, 900"})
    void textInANumberField(String field, String typed) {
        Map<String, Object> form = with(READING, field, typed, "trace", "CLEAN");
        int before = visitor.sequence(job);

        refused(visitor.post("/jobs/" + job + "/readings/typed", form), before, 422, typed);
    }

    @Test
    void twoTabsRecordingFromTheSamePage() {
        Map<String, Object> form = with(Map.of("part", "case-back", "answered", "true"));
        assertThat(visitor.post("/jobs/" + job + "/strip/off", form).statusCode())
                .isEqualTo(200);
        int after = visitor.sequence(job);

        // what is sent twice is recorded once (SentTwiceTest); another step from a page that is older is told
        Map<String, Object> other = new HashMap<>(form);
        other.put("note", "from the other tab");
        refused(visitor.post("/jobs/" + job + "/strip/off", other), after, 409, "in another tab");
    }

    @Test
    void partRecordedTwice() {
        visitor.post("/jobs/" + job + "/strip/off", with(Map.of("part", "case-back", "answered", "true")));
        Map<String, Object> again = with(Map.of("part", "case-back", "answered", "true"));
        int before = visitor.sequence(job);

        refused(visitor.post("/jobs/" + job + "/strip/off", again), before, 422, "is off already");
    }

    @Test
    void ruleIsSaidBeforeAndCanBeOverriddenWithANote() {
        Map<String, Object> form = with(Map.of("part", "pallet-bridge", "answered", "true"));
        int before = visitor.sequence(job);

        HttpResponse<String> asked = visitor.post("/jobs/" + job + "/strip/off", form);
        assertThat(asked.statusCode()).isEqualTo(200);
        assertThat(asked.body()).contains("Say why", "under the balance", "a train released under power");
        assertThat(visitor.sequence(job)).isEqualTo(before);

        visitor.post(
                "/jobs/" + job + "/strip/off",
                with(Map.of("part", "pallet-bridge", "answered", "true"), "inSpiteOf", "cock is missing"));
        assertThat(visitor.sequence(job)).isEqualTo(before + 1);
        assertThat(visitor.get("/jobs/" + job + "/strip?part=pallet-bridge").body())
                .contains("cock is missing");
    }

    @Test
    void machineRefusesWhatMustNotGoIn() {
        visitor.post("/jobs/" + job + "/strip/off", with(Map.of("part", "case-back", "answered", "true")));
        Map<String, Object> form = with(Map.of("way", "MACHINE", "part", "case-back"));
        int before = visitor.sequence(job);

        refused(visitor.post("/jobs/" + job + "/wash", form), before, 422, "should not go into the machine");
    }

    @Test
    void photoThatIsNoPicture() {
        Map<String, Object> form = with(Map.of());
        int before = visitor.sequence(job);

        refused(
                visitor.upload(
                        "/jobs/" + job + "/photos",
                        form,
                        "picture",
                        "x.jpg",
                        "no picture".getBytes(StandardCharsets.UTF_8)),
                before,
                422,
                "no picture we can read");
    }

    @Test
    void missingJobAndMissingPage() {
        assertThat(visitor.get("/jobs/4711/strip").statusCode()).isEqualTo(404);
        assertThat(visitor.get("/jobs/4711/strip").body()).contains("There is no job 4711");
        assertThat(visitor.get("/nowhere").statusCode()).isEqualTo(404);
    }

    @Test
    void jobWithoutACalibreSaysWhatToDo() {
        int unknown = visitor.openJob("Unknown watch", "");

        assertThat(visitor.get("/jobs/" + unknown + "/climb").body())
                .contains("is not known yet", "Bind the job to a sheet");
    }

    @Test
    void arrivalWithoutAWatchKeepsWhatWasTyped() {
        HttpResponse<String> answer =
                visitor.post("/jobs", Map.of("watch", "", "owner", "Lamp room, Hallan Light", "stance", "CONSERVE"));

        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("Lamp room, Hallan Light", "The field “watch”");
    }

    // ---- files

    private HttpResponse<String> takeDossier(ObjectNode dossier) {
        return visitor.upload(
                "/jobs/import",
                Map.of(),
                "dossier",
                "dossier.json",
                dossier.toString().getBytes(StandardCharsets.UTF_8));
    }

    /** A dossier of a job that is not known here. */
    private ObjectNode dossier() {
        ObjectNode dossier = (ObjectNode)
                Json.MAPPER.readTree(visitor.get("/jobs/1/dossier.json").body());
        return dossier.put("identity", UUID.randomUUID().toString());
    }

    private static void notTaken(ObjectNode... dossiers) {
        for (ObjectNode dossier : dossiers) {
            assertThat(EscrelServer.demo()
                            .bean(JobMapper.class)
                            .called(dossier.path("identity").asString()))
                    .isEmpty();
        }
    }

    @Test
    void dossierOfAnotherVersion() {
        ObjectNode other = dossier().put("version", 9);

        assertThat(takeDossier(other).body()).contains("of version 9", "Nothing was taken in");
        notTaken(other);
    }

    @Test
    void dossierWithAMissingReference() {
        ObjectNode withoutPhotos = dossier();
        withoutPhotos.putArray("photos");
        ObjectNode withoutSheet = dossier();
        withoutSheet.remove("sheet");
        ObjectNode withoutAStep = dossier();
        ((ArrayNode) withoutAStep.path("steps")).remove(4);
        ObjectNode strangeStep = dossier();
        ((ObjectNode) strangeStep.path("steps").get(3)).put("kind", "levitated");

        assertThat(takeDossier(withoutPhotos).body()).contains("names photo 1");
        assertThat(takeDossier(withoutSheet).body()).contains("holds no sheet");
        assertThat(takeDossier(withoutAStep).body()).contains("step 5 is missing");
        assertThat(takeDossier(strangeStep).body()).contains("Step 4", "levitated");
        notTaken(withoutPhotos, withoutSheet, withoutAStep, strangeStep);
    }

    @ParameterizedTest
    @CsvSource({"done, ''", "pass, ''", "failed, ''", "pass, LINE"})
    void lineOfTheClimbThatIsNotSaid(String act, String kind) {
        int before = visitor.sequence(job);

        HttpResponse<String> answer = visitor.post(
                "/jobs/" + job + "/climb/" + act,
                Map.of("seq", before, "kind", kind, "code", "pallet-fork", "words", "why not"));

        refused(answer, before, 422, "Nothing was recorded");
    }

    private HttpResponse<String> takeSheet(String text) {
        return visitor.upload(
                "/calibres/import", Map.of(), "sheet", "sheet.json", text.getBytes(StandardCharsets.UTF_8));
    }

    private static ObjectNode cv12() throws IOException {
        return (ObjectNode) Json.MAPPER.readTree(
                new ClassPathResource("demo/calibres/cv-12.json").getContentAsString(StandardCharsets.UTF_8));
    }

    @Test
    void sheetWhoseHoldsFormARing() throws IOException {
        ObjectNode ring = cv12();
        ((ArrayNode) ring.path("holds"))
                .addObject()
                .put("part", "dial")
                .put("by", "hour-wheel")
                .put("why", "no");

        HttpResponse<String> answer = takeSheet(ring.toString());

        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("in a ring", "dial", "hour-wheel", "Nothing was imported");
        assertThat(visitor.get("/calibres/cv-12").body()).contains("sheet version 1");
    }

    @Test
    void sheetThatIsNone() throws IOException {
        assertThat(takeSheet("{").body()).contains("no JSON");
        assertThat(takeSheet("{}").body()).contains("no calibre sheet");
        assertThat(takeSheet(cv12().put("version", 7).toString()).body()).contains("of version 7");
        assertThat(takeSheet(cv12().put("colour", "blue").toString()).body()).contains("colour");
    }
}
