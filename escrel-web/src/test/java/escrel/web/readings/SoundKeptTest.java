package escrel.web.readings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.web.job.Workshop;
import escrel.web.media.MediaStore;
import escrel.web.storage.RecordingMapper;
import escrel.web.storage.SheetJson;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Recordings;
import escrel.web.testing.Visitor;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** Recordings stay with their readings; lift times let every figure be worked out again; clocks and magnetism are told. */
class SoundKeptTest {
    private static final byte[] WAV = Recordings.cv12(14.5, 250);

    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());
    private int job;
    private BenchHand hand;

    @BeforeEach
    void openAJob() {
        job = visitor.openJob("Sound watch", "");
        hand = new BenchHand(server, job);
    }

    private void upload(Position position, Map<String, String> more) {
        Map<String, Object> form = new HashMap<>(Map.of(
                "seq", visitor.sequence(job),
                "state", "AS_RECEIVED",
                "fitted", "CASED",
                "wound", "FULL",
                "position", position));
        form.putAll(more);
        visitor.upload("/jobs/" + job + "/readings/recording", form, "sound", "tick.wav", WAV);
    }

    private Reading read(Position position) {
        return ReadingSet.main(server.bean(Workshop.class).load(job).readings(), ReadingState.AS_RECEIVED)
                .orElseThrow()
                .in(position)
                .orElseThrow();
    }

    @Test
    void recordingIsKeptAsItCameCompressedAndGivenOutAgain() {
        upload(Position.DIAL_UP, Map.of());

        assertThat(server.bean(escrel.web.sound.Recordings.class).wav(job, 1)).hasBinaryContent(WAV);
        String medium = server.bean(RecordingMapper.class).body(job, 1).orElseThrow();
        assertThat(server.bean(MediaStore.class).size(medium)).isLessThan(WAV.length);
        assertThat(visitor.get("/jobs/" + job + "/recordings/1.wav").headers().firstValue("content-type"))
                .hasValue("audio/wav");
        assertThat(visitor.get("/jobs/" + job + "/recordings/7").statusCode()).isEqualTo(422);
    }

    @Test
    void listenedToAgainWithAnotherLiftAngleAndPutInPlace() {
        upload(Position.DIAL_UP, Map.of());
        assertThat(read(Position.DIAL_UP).amplitudeDegrees().value()).isCloseTo(260, within(1.5));

        String page = visitor.get("/jobs/" + job + "/recordings/1?liftAngle=50").body();
        assertThat(page).contains("250 ±", "Put what is heard now in its place");
        assertThat(visitor.get("/jobs/" + job + "/recordings/1?beatsPerHour=21600")
                        .body())
                .contains("No steady beat of 21600");
        assertThat(visitor.get("/jobs/" + job + "/recordings/1?liftAngle=5").statusCode())
                .isEqualTo(422);
        assertThat(visitor.get("/jobs/" + job + "/recordings/1?bandHertz=2500").body())
                .contains("+14.");

        hand.post("/recordings/1", Map.of("liftAngle", "50"));
        assertThat(read(Position.DIAL_UP).amplitudeDegrees().value()).isCloseTo(250, within(1.5));
    }

    /** Bound to a sheet whose lift angle is known only later, every figure, chart and report follows. */
    @Test
    void aLiftAngleLearntLaterWorksEveryFigureOutAgain() {
        upload(Position.DIAL_UP, Map.of());
        upload(Position.CROWN_UP, Map.of());
        upload(Position.DIAL_UP, Map.of("state", "FINAL_CASED"));
        String assumed = visitor.get("/jobs/" + job + "/turn?figure=AMPLITUDE").body();
        assertThat(assumed).contains("260 → 260°", "52° assumed");

        ObjectNode other = SheetJson.write(BenchHand.demoSheet("cv-12"));
        other.put("id", "cv-12-44");
        ((ObjectNode) other.path("data")).put("liftAngleDegrees", 44.0);
        visitor.upload(
                "/calibres/import",
                Map.of(),
                "sheet",
                "sheet.json",
                other.toString().getBytes(StandardCharsets.UTF_8));
        visitor.post("/jobs/" + job + "/calibre", Map.of("seq", visitor.sequence(job), "calibre", "cv-12-44"));

        // 260° at 52° are 220° at 44°, for the same lift time
        assertThat(visitor.get("/jobs/" + job + "/readings?state=AS_RECEIVED").body())
                .contains(">220 ±")
                .doesNotContain("260 ±", "260°", "260.0 →");
        assertThat(visitor.get("/jobs/" + job + "/turn?figure=AMPLITUDE").body())
                .contains("220 → 220°", "Lift angle 44°")
                .doesNotContain("260 ±", "260°", "260.0 →");
        assertThat(visitor.get("/jobs/" + job + "/turn.svg?figure=AMPLITUDE").body())
                .containsPattern("2(19|20)\\.\\d → 2(19|20)\\.\\d")
                .doesNotContain("260 ±", "260°", "260.0 →");
        assertThat(visitor.get("/jobs/" + job + "/report").body())
                .contains("220")
                .doesNotContain("260 ±", "260°", "260.0 →");
    }

    @Test
    void aCalibratedDeviceIsCorrectedForAndItsDoubtCarried() {
        String device = "Bench pick-up " + job;
        visitor.post("/devices/typed", Map.of("device", device, "ppm", "50", "doubtPpm", "10"));
        assertThat(visitor.get("/devices").body()).contains(device, "+50.0 ± 10.0");

        upload(Position.DIAL_UP, Map.of("device", device));
        upload(Position.DIAL_DOWN, Map.of());

        Reading corrected = read(Position.DIAL_UP);
        assertThat(corrected.rateSecondsPerDay().value()
                        - read(Position.DIAL_DOWN).rateSecondsPerDay().value())
                .isCloseTo(4.32, within(1e-6));
        assertThat(corrected.rateWithClock().doubt()).isCloseTo(0.864, within(0.01));
        assertThat(visitor.get("/jobs/" + job + "/readings").body())
                .contains("+50.0 ± 10.0 ppm", "not calibrated", "more than one device");
    }

    @Test
    void magnetismIsToldAndTheServiceNotCreditedWithItsCure() {
        hand.post("/readings/compass", Map.of("follows", "STRONGLY", "simulated", "true"));
        assertThat(hand.get("/readings").body())
                .contains(
                        "the needle follows strongly (simulated compass)", "Demagnetise and read again", "pacemakers");
        upload(Position.DIAL_UP, Map.of());
        hand.post("/readings/demagnetised", Map.of("passes", "3"));
        assertThat(hand.get("/readings").body()).contains("Read all positions again now");
        upload(Position.DIAL_UP, Map.of("state", "AFTER_DEMAGNETISING"));

        assertThat(hand.get("/readings").body()).contains("What demagnetising alone changed");
        assertThat(hand.get("/turn?before=AS_RECEIVED&after=AFTER_DEMAGNETISING")
                        .body())
                .contains("as received", "no change beyond the noise");
    }

    @Test
    void occasionsDoNotMixAndRunningDownIsWorkedOut() {
        upload(Position.DIAL_UP, Map.of("state", "FINAL_CASED"));
        upload(Position.DIAL_UP, Map.of("state", "FINAL_CASED", "wound", "AFTER_HOURS", "woundHours", "36,5"));

        assertThat(ReadingSet.of(hand.load().history())).hasSize(2);
        assertThat(hand.get("/readings").body()).contains("final, cased, wound 36.5 h ago");
        assertThat(hand.get("/running").body()).contains("36.5 h", "+0.0", "No clock runs");
        hand.post("/readings/stopped", Map.of("hours", "44.5"));
        assertThat(hand.get("/running").body()).contains("44.5 h from full wind to stop");
    }
}
