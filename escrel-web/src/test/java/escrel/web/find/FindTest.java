package escrel.web.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import escrel.core.handover.HandedOver;
import escrel.core.handover.Stage;
import escrel.core.job.Wait;
import escrel.core.service.Noted;
import escrel.web.job.OwnersData;
import escrel.web.job.Workshop;
import escrel.web.list.JobList;
import escrel.web.list.ListMapper;
import escrel.web.list.Wanted;
import escrel.web.storage.JobLineMapper;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class FindTest {
    private static final EscrelServer SERVER = EscrelServer.empty();

    private final Visitor visitor = new Visitor(SERVER.url());
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

    private static List<ListMapper.Line> found(EscrelServer server, String typed) {
        return server.bean(JobList.class)
                .find(Wanted.of(typed, null, null), 0, 20)
                .jobs();
    }

    private List<Integer> found(String typed) {
        return found(SERVER, typed).stream().map(ListMapper.Line::number).toList();
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
    @CsvSource({"tidal zebra", "q_7732", "%", "Q-77319", "dal"})
    void whatIsNotSaidOfItFindsItNot(String typed) {
        int job = open("Tidal watch", "Keeper of the quay", "Q-7731");

        assertThat(found(typed)).doesNotContain(job);
    }

    /** Stages are spelt out where lists go by an index: none may be forgotten there. */
    @ParameterizedTest
    @EnumSource(Stage.class)
    void everyStageButTheLastIsInTheHouse(Stage stage) {
        assertThat(ListMapper.IN_THE_HOUSE.contains("'" + stage.name() + "'")).isEqualTo(stage != Stage.HANDED_OVER);
    }

    /** Page by page: each job once, those in the house first, whatever the length of a page. */
    @ParameterizedTest
    @ValueSource(ints = {1, 3, 7, 40})
    void pagesHoldEachJobOnce(int length) {
        int named = open("Paged sextant of a sexton", "Owner", "");
        for (int i = 0; i < 6; i++) {
            int job = open("Paged sextant of a sexton " + named, "Owner", "");
            if (i % 2 == 0) {
                workshop.append(job, workshop.load(job).sequence(), new HandedOver("", List.of()));
            }
        }
        JobList list = SERVER.bean(JobList.class);
        for (String typed : List.of("paged sextant", "sext", String.valueOf(named), "")) {
            Wanted wanted = Wanted.of(typed, null, null);
            List<ListMapper.Line> all = new ArrayList<>();
            for (int page = 0; page * length < 120; page++) {
                all.addAll(list.find(wanted, page * length, length).jobs());
            }
            assertThat(all).extracting(ListMapper.Line::number).doesNotHaveDuplicates();
            int total = list.find(wanted, 0, length).all();
            assertThat(all).hasSize(total);
            assertThat(all.subList(wanted.number() == null ? 0 : 1, total))
                    .isSortedAccordingTo(Comparator.comparing(
                                    (ListMapper.Line l) -> l.stage().equals("HANDED_OVER"))
                            .thenComparing(ListMapper.Line::changedAt, Comparator.reverseOrder()));
            assertThat(list.find(Wanted.of(typed, Stage.HANDED_OVER, null), 0, 200)
                            .jobs())
                    .extracting(ListMapper.Line::number)
                    .isSubsetOf(all.stream().map(ListMapper.Line::number).toList())
                    .hasSize(list.find(wanted, 0, 1).atStage().get(Stage.HANDED_OVER));
        }
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
        workshop.append(job, workshop.load(job).sequence(), new HandedOver("", List.of()));
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
            var before = found(server, "lineless");
            assertThat(before).hasSize(1);
            lines.clearLines();
            lines.clearWords();
            lines.clearLearnt();
            assertThat(there.get("/jobs?q=lineless").body()).contains("1 jobs are still being read into this list");

            assertThat(there.get("/jobs/" + job + "/learnt").body()).contains("1 jobs are still being read");

            server.restart();

            await().until(() -> server.bean(JobLineMapper.class).countMissing() == 0);
            assertThat(found(server, "lineless")).isEqualTo(before);
            assertThat(before.get(0).number()).isEqualTo(job);
        }
    }

    @Test
    void waitsAreFilteredBy() {
        int job = open("Waiting watch", "Owner", "");
        SERVER.bean(JobLineMapper.class)
                .update(new JobLineMapper.LineRow(job, Wait.PART.name() + " " + Wait.READING.name(), ""));

        assertThat(visitor.get("/jobs?q=waiting&wait=PART").body()).contains("Waiting watch", "waits for a part");
        assertThat(visitor.get("/jobs?q=waiting&wait=OUTWORK").body()).contains("No job is called so.");
    }

    @ParameterizedTest
    @CsvSource({"stage=NOWHERE", "page=x", "wait=GODOT"})
    void whatIsNoChoiceIsRefusedPlainly(String query) {
        assertThat(visitor.get("/jobs?" + query).statusCode()).isEqualTo(422);
    }
}
