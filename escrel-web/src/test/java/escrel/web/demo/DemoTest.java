package escrel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Shape;
import escrel.core.calibre.SheetCheck;
import escrel.core.calibre.Train;
import escrel.core.handover.Account;
import escrel.core.job.Job;
import escrel.core.order.Rules;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.Tally;
import escrel.core.service.WorkAgreed;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.Json;
import escrel.web.storage.SheetJson;
import escrel.web.storage.Sheets;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.TypedReading;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
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
        TeardownOrder order =
                Job.of(JobHistory.empty(), sheet(id), Schools.DEFAULT).wayDown();

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

    /** An arbor that ran through another wheel's rim would be no movement. */
    @ParameterizedTest
    @ValueSource(strings = {"cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8", "m-7h"})
    void noArborRunsThroughAnotherWheelOfTheTrain(String id) {
        CalibreSheet sheet = BenchHand.demoSheet(id);
        List<Shape> wheels = sheet.train().mobiles().stream()
                .map(m -> sheet.requirePart(m.part()).shape())
                .toList();
        Shape balance = sheet.requirePart("balance").shape();
        for (Shape wheel : wheels) {
            for (Shape other : wheels) {
                if (wheel != other) {
                    assertThat(Math.hypot(wheel.x() - other.x(), wheel.y() - other.y()))
                            .as("%s at %s, %s", id, wheel.x(), wheel.y())
                            .isGreaterThan(wheel.radius());
                }
            }
            assertThat(Math.hypot(wheel.x() - balance.x(), wheel.y() - balance.y()))
                    .as("%s: the balance staff", id)
                    .isGreaterThan(wheel.radius());
        }
        // the balance swings clear of the barrel
        Shape barrel = wheels.get(0);
        assertThat(Math.hypot(barrel.x() - balance.x(), barrel.y() - balance.y()))
                .isGreaterThan(barrel.radius() + balance.radius());
    }

    @ParameterizedTest
    @ValueSource(strings = {"cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8", "m-7h"})
    void everyCalibreComesApartAndGoesTogetherWithoutBreakingARule(String id) {
        CalibreSheet known = BenchHand.demoSheet(id);
        Story story = new Story(known, Instant.EPOCH)
                .then(new WorkAgreed(WorkAgreed.Work.SERVICE, ""))
                .strip(Map.of())
                .wash()
                .climb(code -> true, s -> s.then(TypedReading.of(ReadingState.FIRST_RUN, 4)))
                .then(TypedReading.of(ReadingState.FINAL_CASED, 4));
        // in a case of which nothing is known
        CalibreSheet sheet = story.job().movement();
        JobHistory history = JobHistory.of(story.steps());
        List<String> off = history.all(PartOff.class).map(PartOff::part).toList();

        assertThat(off).hasSize(sheet.parts().size());
        assertThat(Rules.down(sheet, Schools.DEFAULT).all())
                .allSatisfy(c -> assertThat(off.indexOf(c.first().code()))
                        .isLessThan(off.indexOf(c.then().code())));
        assertThat(SheetCheck.faultsOf(known)).isEmpty();
        assertThat(SheetCheck.faultsOf(sheet)).isEmpty();
        assertThat(TeardownState.of(sheet, history).onAgain())
                .containsAll(sheet.homes().stream().map(Part::code).toList());
        assertThat(story.job().accounts()).allMatch(Account::balances);
        assertThat(story.job().mayLeave()).isTrue();
        assertThat(sheet.homes().size() + sheet.screws().size()).isGreaterThanOrEqualTo(55);
    }

    @Test
    void finishedServicesBalanceAndTheirReadingsAreWhatTheSimulatorGives() throws IOException {
        for (FinishedServices.Past past : FinishedServices.ALL) {
            OpenJob job = server.bean(Workshop.class).load(past.job());
            assertThat(job.job().accounts()).as("job %d", past.job()).allMatch(Account::balances);
            assertThat(job.history().all(ReadingTaken.class))
                    .hasSize(12)
                    .allMatch(r -> r.reading().source() == Source.SIMULATED);
        }
        // one of each calibre worked out anew; when this fails, DemoReadingsFile is to be run
        for (int i : new int[] {0, 1, 3}) {
            FinishedServices.Past past = FinishedServices.ALL.get(i);
            CalibreSheet sheet = BenchHand.demoSheet(past.calibre());
            Taking after = DemoReadingsFile.takings(past).get(1);
            Reading anew = DemoReadings.reading(sheet, after.condition(), Position.DIAL_UP, after.seed());
            ReadingTaken kept = server.bean(Workshop.class)
                    .load(past.job())
                    .history()
                    .all(ReadingTaken.class)
                    .skip(6)
                    .findFirst()
                    .orElseThrow();
            assertThat(kept.reading()).isEqualTo(anew);
        }
    }

    @Test
    void aStartWorksNoReadingOutAnew() throws IOException {
        for (Taking taking : DemoReadingsFile.all()) {
            CalibreSheet sheet = DemoReadingsFile.sheet(taking.calibre());
            assertThat(Position.values())
                    .as("%s", taking)
                    .allMatch(position -> DemoReadings.isKept(sheet, taking, position));
        }
    }

    @Test
    void lampTimerStandsBeforeItsLeftHandScrewWithASearchOpen() {
        OpenJob job = server.bean(Workshop.class).load(3);

        assertThat(job.job().wayDown().next().orElseThrow().code()).isEqualTo("column-wheel");
        assertThat(job.job().searches().lost()).containsExactly("minute-jumper");
        assertThat(new Visitor(server.url()).get("/jobs/3/strip").body())
                .contains("Left-hand thread", "Column wheel", "/jobs/3/photos/1/small");
        // its case is known by its reference, its movement is not
        assertThat(new Visitor(server.url()).get("/jobs/6/strip").body())
                .contains("Case back", "post on which the alarm");
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

        assertThat(job.job().accounts()).allMatch(Account::balances);
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
        assertThat(job.job().accounts())
                .filteredOn(a -> a.kind() == Tally.Kind.INTERIM_PARTS)
                .singleElement()
                .satisfies(a -> assertThat(a.blocks()).isTrue());
    }
}
