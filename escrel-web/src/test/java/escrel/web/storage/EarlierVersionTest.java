package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;
import static org.assertj.core.api.Assertions.tuple;
import static org.awaitility.Awaitility.await;

import escrel.core.calibre.Lore;
import escrel.core.calibre.Side;
import escrel.core.handover.Stage;
import escrel.core.job.Job;
import escrel.core.job.Wait;
import escrel.core.service.Happened;
import escrel.core.service.PartOff;
import escrel.core.service.RecordedStep;
import escrel.core.service.RuleBook;
import escrel.core.service.ScrewsFound;
import escrel.core.supply.Want;
import escrel.web.ground.Check;
import escrel.web.ground.Home;
import escrel.web.job.Learnt;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.media.MediaStore;
import escrel.web.sound.Devices;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.KeptFolder;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Databases of earlier versions (the demo workshop as each filled it) open in this one and go on. */
@Tag("long")
class EarlierVersionTest {
    @Test
    void jobsStepsSheetsAndPhotosAreThereAndNewStepsGoIn() throws IOException {
        Path home = EscrelServer.folder();
        Files.copy(Path.of("src/test/resources/versions/v1.mv.db"), home.resolve("escrel.mv.db"));
        try (EscrelServer server = EscrelServer.on(home)) {
            Workshop workshop = server.bean(Workshop.class);

            assertThat(workshop.load(1).stage()).isEqualTo(Stage.HANDED_OVER);
            assertThat(workshop.load(5).sheet().lore()).isEqualTo(Lore.NONE);
            assertThat(workshop.load(5).stage()).isEqualTo(Stage.CLIMBING);
            assertThat(new Visitor(server.url()).get("/").body())
                    .contains("The database was brought to this version; the one of before lies at");
            BenchHand hand = new BenchHand(server, 1);
            for (String page : new String[] {"/strip", "/tray", "/way", "/film", "/learnt", "/report", "/readings"}) {
                assertThat(hand.get(page).statusCode()).as(page).isEqualTo(200);
            }
            assertThat(hand.get("/photos/2/full").statusCode()).isEqualTo(200);
            BenchHand harbour = new BenchHand(server, 5);
            harbour.act("LOST", "third-wheel", "", "", Side.TRAIN);
            assertThat(harbour.load().history().last(Happened.class)).isPresent();
            assertThat(harbour.post("/schools", Map.of("choice", "TRAIN_FIRST")).statusCode())
                    .isEqualTo(200);
        }
    }

    /** That version wrote beside each job the stage it had computed: this one computes the same from the steps. */
    @Test
    void jobsOfVersion3MeanWhatTheyMeant() throws IOException {
        try (EscrelServer server = EscrelServer.on(kept("v3", home -> {}))) {
            int jobs = server.bean(JobMapper.class).count();
            assertThat(jobs).isGreaterThan(15);
            int seen = 0;
            for (int number = 1; seen < jobs; number++) {
                Optional<JobRow> written = server.bean(JobMapper.class).find(number);
                if (written.isPresent()) {
                    seen++;
                    OpenJob job = server.bean(Workshop.class).load(number);
                    assertThat(job.stage().name())
                            .as("stage of job " + number)
                            .isEqualTo(written.get().stage());
                    assertThat(job.sequence()).isEqualTo(written.get().lastSequence());
                    if (job.stage() == Stage.HANDED_OVER) {
                        assertThat(job.job().mayLeave()).as("job " + number).isTrue();
                    }
                }
            }
        }
    }

    /** In version 5 nothing was ordered: what a decision wants from elsewhere stood in its words, and is wanted here. */
    @Test
    void decisionsOfVersion5WantWhatTheySaid() throws IOException {
        try (EscrelServer server = EscrelServer.empty()) {
            byte[] dossier = Files.readAllBytes(Path.of("src/test/resources/dossiers/v5-job-5.json"));
            Visitor visitor = new Visitor(server.url());
            assertThat(visitor.upload("/jobs/import", Map.of(), "dossier", "d.json", dossier)
                            .body())
                    .contains("The dossier was taken in as job");

            Job job = server.bean(Workshop.class).load(5).job();
            assertThat(job.supply().wants())
                    .extracting(Want::what, Want::state)
                    .containsExactly(
                            tuple("Crown wheel", Want.State.TO_ORDER), tuple("Third wheel", Want.State.TO_SEND));
            assertThat(Wait.of(job)).containsExactlyInAnyOrder(Wait.PART, Wait.OUTWORK);
            assertThat(visitor.get("/parts").body())
                    .contains("Crown wheel", "Third wheel", "the wheel cutter at Skarholt");
        }
    }

    /** Version 10 had no tables of what is wanted and what was brought in: they are made from the steps. */
    @Test
    void whatJobsOfVersion10WantIsMadeFromTheirSteps() throws IOException {
        Path home = KeptFolder.of("v10");
        try (EscrelServer server = EscrelServer.on(home)) {
            await().until(() -> server.bean(JobLineMapper.class).countMissing() == 0);
            String page = new Visitor(server.url()).get("/parts").body();

            assertThat(page).contains("Crown wheel", "Third wheel", "Pallet fork", "here, to fit");
            OpenWants.Sums sums = server.bean(OpenWants.class).sums(LocalDate.parse("2026-11-27"));
            assertThat(sums.atState())
                    .containsOnly(
                            entry(Want.State.TO_ORDER, 1), entry(Want.State.TO_SEND, 1), entry(Want.State.TO_FIT, 1));
            assertThat(sums.awaited().wants()).isZero();
            assertThat(Check.of(new Home(home)).faults()).isEmpty();
        }
    }

    /** Version 11 kept no times: they are made from the steps, of the services that were handed over. */
    @Test
    void timesOfVersion11AreMadeFromItsSteps() throws IOException {
        Path home = KeptFolder.of("v11");
        try (EscrelServer server = EscrelServer.on(home)) {
            await().until(() -> server.bean(JobLineMapper.class).countMissing() == 0);
            TimeMapper times = server.bean(TimeMapper.class);
            List<TimeMapper.TimeRow> all = new ArrayList<>();
            for (String calibre : List.of("cv-12", "cv-24", "cv-28")) {
                all.addAll(times.services(calibre, 0, 10));
            }
            // jobs 10 to 12 went back to their owners, job 5 waits for a wheel
            assertThat(all).extracting(TimeMapper.TimeRow::job).containsExactlyInAnyOrder(10, 11, 12);
            assertThat(all).allSatisfy(t -> assertThat(t.minutes()).isBetween(60.0, 24 * 60.0));
            assertThat(Check.of(new Home(home)).faults()).isEmpty();
        }
    }

    /** Version 12 had its indexes the other way round: what is learnt and expected of a calibre is the same. */
    @Test
    void whatVersion12LearntIsAsItWas() throws IOException {
        Path home = KeptFolder.of("v12");
        try (EscrelServer server = EscrelServer.on(home)) {
            assertThat(server.bean(JobLineMapper.class).countMissing()).isZero();
            assertThat(server.bean(Learnt.class).orders("cv-12").teardowns()).isEqualTo(3);
            assertThat(server.bean(TimeMapper.class).services("cv-12", 0, 10))
                    .extracting(TimeMapper.TimeRow::job)
                    .isSortedAccordingTo(Comparator.reverseOrder())
                    .contains(12);
            assertThat(new Visitor(server.url()).get("/jobs/5/learnt").body())
                    .contains("Yoke before Setting lever: always seen so (3 times)");
            assertThat(Check.of(new Home(home)).faults()).isEmpty();
        }
        try (Stream<Path> aside = Files.list(home.resolve("set-aside"))) {
            assertThat(aside).singleElement().asString().contains("before-version-13-was-12");
        }
    }

    /** That version knew one odd screw at most, by a word; the lamp-timer's brake had a foreign one. */
    @Test
    void oddScrewOfVersion2IsStillOneForeignScrewWithTheKeyItHad() throws IOException {
        try (EscrelServer server = EscrelServer.empty()) {
            byte[] dossier = Files.readAllBytes(Path.of("src/test/resources/dossiers/v2-job-3.json"));
            String page = new Visitor(server.url())
                    .upload("/jobs/import", Map.of(), "dossier", "d.json", dossier)
                    .body();

            assertThat(page).contains("The dossier was taken in as job");
            Job job = server.bean(Workshop.class).load(3).job();
            RecordedStep brake = job.history().counting().stream()
                    .filter(e -> e.step() instanceof PartOff off && off.part().equals("brake"))
                    .findFirst()
                    .orElseThrow();
            assertThat(((PartOff) brake.step()).screws()).isEqualTo(ScrewsFound.of(ScrewsFound.State.FOREIGN, 1));
            assertThat(job.findings()
                            .byKey(brake.sequence() + "s")
                            .orElseThrow()
                            .words())
                    .isEqualTo("one screw is not of this calibre");
            assertThat(job.history().ruleBook()).isEqualTo(RuleBook.SECOND);
        }
    }

    @Test
    void clocksOfVersion3StandInTheLogOfTheWorkshop() throws IOException {
        Path home = kept("v3", EarlierVersionTest::calibrateTwoDevices);
        try (EscrelServer server = EscrelServer.on(home)) {
            Devices devices = server.bean(Devices.class);

            assertThat(devices.clockOf("line in").ppm()).isEqualTo(-12.5);
            assertThat(devices.clockOf("line in").doubtPpm()).isEqualTo(2);
            assertThat(devices.clockOf("pick-up “north”").ppm()).isEqualTo(1e-3);
            assertThat(devices.all())
                    .extracting(k -> k.calibrated().reference())
                    .containsExactly("one pulse a second, 60 s", "typed");
            devices.forget("line in");
            assertThat(server.bean(WorkshopLogs.class).load().acts().recorded()).hasSize(3);
        }
    }

    /** What lay in the database as blobs lies beside it, byte for byte, and is served. */
    @Test
    void mediaOfVersion4LieBesideTheDatabase() throws IOException {
        Path home = kept("v4", h -> {});
        try (EscrelServer server = EscrelServer.on(home)) {
            MediaStore media = server.bean(MediaStore.class);
            assertThat(server.bean(MediaMapper.class).inUse())
                    .hasSizeGreaterThan(12)
                    .allSatisfy(name -> assertThat(media.isWhole(name)).as(name).isTrue());
            Visitor visitor = new Visitor(server.url());
            for (String page : new String[] {
                "/jobs/3/photos/3/full",
                "/jobs/3/photos/3/small",
                "/jobs/1/photos/1",
                "/calibres/cv-12/pictures/1",
                "/jobs/2/recordings/1",
                "/jobs/2/recordings/1.wav"
            }) {
                assertThat(visitor.get(page).statusCode()).as(page).isEqualTo(200);
            }
            assertThat(visitor.get("/calibres/cv-12/documents/1").body()).isEqualTo("a leaflet\n");
            assertThat(visitor.get("/calibres/cv-12/documents/1").headers().firstValue("Content-Disposition"))
                    .hasValueSatisfying(v -> assertThat(v).contains("Leaflet.txt"));
            assertThat(Check.of(new Home(home)).faults()).isEmpty();
        }
        try (Stream<Path> aside = Files.list(home.resolve("set-aside"))) {
            assertThat(aside).singleElement().asString().contains("before-version-13-was-4");
        }
    }

    /** The folder as version 6 left it, journal and media beside the database, a sheet from elsewhere waiting. */
    @Test
    void folderOfVersion6GoesOnAndItsJobsAreFound() throws IOException {
        Path home = KeptFolder.of("v6");
        try (EscrelServer server = EscrelServer.on(home)) {
            await().until(() -> server.bean(JobLineMapper.class).countMissing() == 0);
            Visitor visitor = new Visitor(server.url());

            assertThat(visitor.get("/jobs").body()).contains("22 jobs.");
            assertThat(visitor.get("/jobs?q=harbour-master").body()).contains("Tidewell harbour-master");
            assertThat(visitor.get("/calibres/cv-12/versions/2").body())
                    .contains("from elsewhere, waiting", "47.5", "used by job");
            assertThat(visitor.get("/calibres/cv-12").body()).contains("sheet version 1");
            BenchHand hand = new BenchHand(server, 5);
            hand.act("LOST", "third-wheel", "", "", Side.TRAIN);
            assertThat(hand.load().history().last(Happened.class)).isPresent();
            assertThat(Check.of(new Home(home)).faults()).isEmpty();
        }
    }

    /**
     * Version 9 knew no cases: its sheets carried them. Job 3 of its folder is half-way down with 40 parts off, job 5 nearly whole again;
     * both mean what they meant, and a case of its own takes the place of what the sheet carried.
     */
    @Test
    void sheetsOfVersion9KeepTheirCaseUntilTheWatchHasOneOfItsOwn() throws IOException {
        Path home = KeptFolder.of("v9");
        try (EscrelServer server = EscrelServer.on(home)) {
            Visitor visitor = new Visitor(server.url());
            Workshop workshop = server.bean(Workshop.class);
            OpenJob timer = workshop.load(3);
            assertThat(timer.caseSheet()).isNull();
            assertThat(timer.teardown().order()).hasSize(40).startsWith("case-back", "stem");
            assertThat(timer.movement().part("pushers")).isPresent();
            assertThat(timer.movement()).isEqualTo(timer.sheet());
            String next = timer.job().wayDown().next().orElseThrow().code();

            visitor.post("/cases/new", Map.of("maker", "Skarholt", "reference", "T-9", "opens", "BACK"));
            visitor.post("/jobs/3/case", Map.of("seq", visitor.sequence(3), "sheet", "skarholt-t-9"));
            OpenJob cased = workshop.load(3);
            assertThat(cased.caseSheet().reference()).isEqualTo("T-9");
            assertThat(cased.teardown().order()).isEqualTo(timer.teardown().order());
            // the pushers lie in the tray: they stay, though the new sheet says nothing of them
            assertThat(cased.movement().part("pushers")).isPresent();
            assertThat(cased.job().wayDown().next().orElseThrow().code()).isEqualTo(next);
            assertThat(visitor.get("/jobs/5/climb").statusCode()).isEqualTo(200);
            assertThat(Check.of(new Home(home)).faults()).isEmpty();
        }
    }

    /** Version 7 had its lists in one table: they are made anew, and mean the same. */
    @Test
    void listsOfVersion7AreMadeAnew() throws IOException {
        Path home = KeptFolder.of("v7");
        try (EscrelServer server = EscrelServer.on(home)) {
            await().until(() -> server.bean(JobLineMapper.class).countMissing() == 0);
            Visitor visitor = new Visitor(server.url());

            for (String typed : List.of("hairline", "lamp-timer", "90417", "417", "cv-12")) {
                assertThat(visitor.get("/jobs?q=" + typed).body()).as(typed).contains("Kept lamp-timer");
            }
            assertThat(visitor.get("/").body()).contains("next off: Crown and stem", "open: Readings 1 · Wash 1");
            assertThat(Check.of(new Home(home)).faults()).isEmpty();
        }
    }

    private static void calibrateTwoDevices(Path home) {
        try (Connection h2 = DriverManager.getConnection("jdbc:h2:file:" + home.resolve("escrel"), "sa", "");
                Statement statement = h2.createStatement()) {
            statement.executeUpdate("""
                    insert into sound_device (name, ppm, doubt_ppm, reference, calibrated_at) values
                    ('line in', -12.5, 2, 'one pulse a second, 60 s', timestamp with time zone '2026-03-01 10:00:00+00:00'),
                    ('pick-up “north”', 0.001, 0.5, 'typed', timestamp with time zone '2026-04-01 10:00:00+00:00')""");
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Path kept(String version, Consumer<Path> before) throws IOException {
        Path home = EscrelServer.folder();
        Files.copy(Path.of("src/test/resources/versions/" + version + ".mv.db"), home.resolve("escrel.mv.db"));
        before.accept(home);
        return home;
    }
}
