package escrel.web.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import escrel.core.handover.HandedOver;
import escrel.core.job.Wait;
import escrel.core.service.Noted;
import escrel.web.job.OwnersData;
import escrel.web.job.Workshop;
import escrel.web.list.ListMapper;
import escrel.web.list.Wanted;
import escrel.web.storage.JobLineMapper;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FindTest {
    private static final EscrelServer SERVER = EscrelServer.empty();

    private final Visitor visitor = new Visitor(SERVER.url());
    private final ListMapper list = SERVER.bean(ListMapper.class);
    private final Workshop workshop = SERVER.bean(Workshop.class);

    @AfterAll
    static void stop() {
        SERVER.close();
    }

    private int open(String watch, String owner, String marks) {
        String address = visitor.post(
                        "/jobs", Map.of("watch", watch, "owner", owner, "stance", "SYMPATHETIC", "marks", marks))
                .uri()
                .getPath();
        return Integer.parseInt(address.replaceAll("\\D", ""));
    }

    private List<Integer> found(String typed) {
        return list.found(Wanted.of(typed, null, null), 0, 20).stream()
                .map(ListMapper.Line::number)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "tidal",
        "TIDAL recorder",
        "recorder tidal",
        "cafe",
        "Café",
        "q-7731",
        "7731",
        "'  tidal   rec '",
        "corroded pinion",
        "100%"
    })
    void jobIsFoundByWhateverIsSaidOfIt(String typed) {
        int job = open("Tidal recorder", "Keeper of the café, Auk Quay", "Q-7731 inside the back");
        workshop.append(job, workshop.load(job).sequence(), new Noted(null, "Corroded pinion; 100% sure"));

        assertThat(found(typed)).contains(job);
    }

    @ParameterizedTest
    @CsvSource({"tidal zebra", "q_7731", "%", "Q-77319"})
    void whatIsNotSaidOfItFindsItNot(String typed) {
        int job = open("Tidal watch", "Keeper of the quay", "Q-7731");

        assertThat(found(typed)).doesNotContain(job);
    }

    @Test
    void itsNumberFindsItFirst() {
        int job = open("Numbered watch", "Owner", "");
        open("Watch with " + job + " on its back", "Owner", String.valueOf(job));

        assertThat(found(String.valueOf(job)).get(0)).isEqualTo(job);
    }

    @Test
    void jobThatWentBackLongAgoIsFoundAndItsStageFiltersAndCounts() {
        int job = open("Gone barometer clock", "Owner far away", "");
        workshop.append(job, workshop.load(job).sequence(), new HandedOver(""));
        for (int i = 0; i < 25; i++) {
            open("Later barometer watch " + i, "Owner", "");
        }

        assertThat(found("gone barometer")).containsExactly(job);
        assertThat(visitor.get("/jobs?q=barometer&stage=HANDED_OVER").body())
                .contains("Gone barometer clock", "One job.")
                .doesNotContain("Later barometer watch");
        assertThat(visitor.get("/jobs?q=barometer").body())
                .contains("26 jobs.", "Further in the list")
                .doesNotContain("Gone barometer clock");
        assertThat(visitor.get("/jobs?q=barometer&page=1").body())
                .contains("Gone barometer clock", "Earlier in the list")
                .doesNotContain("Further in the list");
    }

    @Test
    void erasedOwnerIsNotFoundAnyMore() {
        int job = open("Erased chronometer", "Harbour pilot Quillon", "");
        assertThat(found("quillon")).containsExactly(job);

        SERVER.bean(OwnersData.class).erase("Harbour pilot Quillon");

        assertThat(found("quillon")).isEmpty();
        assertThat(found("erased chronometer")).containsExactly(job);
    }

    @Test
    void linesThatAreMissingAreMadeAtTheStartAndTheSame() {
        try (EscrelServer server = EscrelServer.empty()) {
            Visitor there = new Visitor(server.url());
            int job = there.openJob("Lineless watch", "");
            JobLineMapper lines = server.bean(JobLineMapper.class);
            var before = server.bean(ListMapper.class).found(Wanted.of("lineless", null, null), 0, 5);
            assertThat(before).hasSize(1);
            lines.clear();
            assertThat(there.get("/jobs?q=lineless").body()).contains("1 jobs are still being read into this list");

            assertThat(there.get("/jobs/" + job + "/learnt").body()).contains("1 jobs are still being read");

            server.restart();

            ListMapper again = server.bean(ListMapper.class);
            await().until(() -> server.bean(JobLineMapper.class).countMissing() == 0);
            assertThat(again.found(Wanted.of("lineless", null, null), 0, 5)).isEqualTo(before);
            assertThat(before.get(0).number()).isEqualTo(job);
        }
    }

    @Test
    void waitsAreFilteredBy() {
        int job = open("Waiting watch", "Owner", "");
        SERVER.bean(JobLineMapper.class)
                .put(new JobLineMapper.LineRow(job, Wait.PART.name() + " " + Wait.READING.name(), "waiting watch", ""));

        assertThat(visitor.get("/jobs?q=waiting&wait=PART").body()).contains("Waiting watch", "waits for a part");
        assertThat(visitor.get("/jobs?q=waiting&wait=OUTWORK").body()).contains("No job is called so.");
    }

    @ParameterizedTest
    @CsvSource({"stage=NOWHERE", "page=x", "wait=GODOT"})
    void whatIsNoChoiceIsRefusedPlainly(String query) {
        assertThat(visitor.get("/jobs?" + query).statusCode()).isEqualTo(422);
    }
}
