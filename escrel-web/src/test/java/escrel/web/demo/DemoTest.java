package escrel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Shape;
import escrel.core.calibre.SheetCheck;
import escrel.core.calibre.Train;
import escrel.core.handover.Account;
import escrel.core.handover.Accounts;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.Json;
import escrel.web.storage.SheetJson;
import escrel.web.storage.Sheets;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The demo workshop is coherent: its sheets, its jobs, its numbers. */
class DemoTest {
    private final EscrelServer server = EscrelServer.demo();

    private CalibreSheet sheet(String id) {
        return server.bean(Sheets.class).latest(id).orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(strings = {"cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8"})
    void sheetIsSoundAndComesBackAsItWent(String id) {
        CalibreSheet sheet = sheet(id);

        assertThat(SheetCheck.faultsOf(sheet)).isEmpty();
        assertThat(SheetJson.write(SheetJson.read(SheetJson.write(sheet).toString())))
                .isEqualTo(SheetJson.write(sheet));
        assertThat(Json.MAPPER.readTree(new Visitor(server.url())
                        .get("/calibres/" + id + "/sheet.json")
                        .body()))
                .isEqualTo(Json.MAPPER.readTree(SheetJson.write(sheet).toString()));
    }

    /** Wheels mesh where they should: centre distances agree with pitch radii by the counts. */
    @ParameterizedTest
    @ValueSource(strings = {"cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8"})
    void wheelsMeshWithTheNextPinion(String id) {
        CalibreSheet sheet = sheet(id);
        List<Train.Mobile> mobiles = sheet.train().mobiles();
        for (int i = 0; i + 1 < mobiles.size(); i++) {
            Shape wheel = sheet.requirePart(mobiles.get(i).part()).shape();
            Shape next = sheet.requirePart(mobiles.get(i + 1).part()).shape();
            double pinion = wheel.radius()
                    * mobiles.get(i + 1).pinionLeaves()
                    / mobiles.get(i).wheelTeeth();

            // drawn to a tenth of a millimetre
            assertThat(Math.hypot(wheel.x() - next.x(), wheel.y() - next.y()))
                    .as(mobiles.get(i).part())
                    .isCloseTo(wheel.radius() + pinion, Assertions.within(0.1));
            assertThat(wheel.teeth()).isEqualTo(mobiles.get(i).wheelTeeth());
        }
    }

    @ParameterizedTest
    @CsvSource({"cv-12, 3", "l-43, 3"})
    void wayDownIsTheOneAWatchmakerWouldTake(String id, int turnOvers) {
        TeardownOrder order = TeardownOrder.from(TeardownState.of(sheet(id), JobHistory.empty()), Schools.DEFAULT);

        assertThat(order.turnOvers()).isEqualTo(turnOvers);
        assertThat(order.remaining().stream().map(Part::code))
                .containsSubsequence(
                        "case-back",
                        "dial",
                        "cannon-pinion",
                        "balance-cock",
                        "power-down",
                        "pallet-fork",
                        "ratchet-wheel",
                        "escape-wheel",
                        "centre-wheel",
                        "setting-lever",
                        "lower-cap",
                        "mainspring");
    }

    /**
     * To change the mainspring one does not strip the dial side; only the cannon pinion must go, since it sits on the
     * centre wheel's arbor, and with it hands and dial. The keyless work stays, and so do the parts of the balance.
     */
    @Test
    void wayInToTheMainspringLeavesTheKeylessWorkFitted() {
        CalibreSheet cv12 = sheet("cv-12");
        List<String> way =
                TeardownOrder.wayIn(TeardownState.of(cv12, JobHistory.empty()), Schools.DEFAULT, "mainspring")
                        .remaining()
                        .stream()
                        .map(Part::code)
                        .toList();

        assertThat(way)
                .contains("balance-cock", "power-down", "barrel-bridge", "barrel", "cannon-pinion")
                .endsWith("mainspring")
                .doesNotContain(
                        "setting-lever-spring",
                        "yoke",
                        "clutch",
                        "winding-pinion",
                        "minute-wheel",
                        "lower-cap",
                        "balance",
                        "regulator",
                        "setting-lever");
    }

    @Test
    void jobsStandAtTheirStages() {
        assertThat(new Visitor(server.url()).get("/jobs.json").body())
                .contains(
                        "\"number\":1,\"watch\":\"Lanthorn lamp-room pocket watch\",\"calibre\":\"Lanthorn L-43\",\"stage\":\"HANDED_OVER\"",
                        "\"number\":5,\"watch\":\"Tidewell harbour-master's\",\"calibre\":\"Corvane CV-12\",\"stage\":\"CLIMBING\"",
                        "\"number\":8,\"watch\":\"Skarholt quay watch\",\"calibre\":null,\"stage\":\"ARRIVED\"");
    }

    @Test
    void finishedJobBalancesAndItsReadingsAreMarkedAsSimulated() {
        OpenJob job = server.bean(Workshop.class).load(1);

        assertThat(Accounts.of(job.requireSheet(), job.history())).allMatch(Account::balances);
        assertThat(job.history().all(ReadingTaken.class))
                .hasSize(12)
                .allMatch(r -> r.reading().source() == Source.SIMULATED);
        assertThat(new Visitor(server.url()).get("/jobs/1/report").body()).contains("Simulated readings", "bushed");
    }

    @Test
    void harbourMastersWaitsForItsWheelWithAnInterimPartIn() {
        OpenJob job = server.bean(Workshop.class).load(5);

        assertThat(job.teardown().isOnAgain("crown-wheel")).isTrue();
        assertThat(job.teardown().isOff("third-wheel")).isTrue();
        assertThat(Accounts.of(job.requireSheet(), job.history()))
                .filteredOn(a -> a.kind() == Account.Kind.INTERIM_PARTS)
                .singleElement()
                .satisfies(a -> assertThat(a.blocks()).isTrue());
    }
}
