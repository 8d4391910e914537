package escrel.web.demo;

import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.handover.HandedOver;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.FindingRaised;
import escrel.core.school.Schools;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.PartOff;
import escrel.core.service.PhotoAdded;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Stance;
import escrel.core.timing.readings.ReadingState;
import escrel.simulator.movement.Condition;
import escrel.web.job.Workshop;
import escrel.web.photos.Photos;
import escrel.web.sound.Recordings;
import escrel.web.storage.CaseSheets;
import escrel.web.storage.JobMapper;
import escrel.web.storage.SheetJson;
import escrel.web.storage.Sheets;
import escrel.web.storage.WorkshopLogs;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Fills an empty folder with the demo workshop when the demo was asked for. */
@Component
class DemoWorkshop implements ApplicationRunner {
    private static final int POCKET_WATCH = 1;

    private static final Taking POCKET_WORN =
            new Taking("l-43", new Condition(186, 34, 9, -46, 6, 260, 210, 6.2, 24, 0.07), 100);
    private static final Taking POCKET_SERVED =
            new Taking("l-43", new Condition(272, 30, 3, 5, -2, 120, 210, 1.1, 0.4, 0.03), 200);
    static final List<Taking> ALL = List.of(POCKET_WORN, POCKET_SERVED, WaitingForParts.HARBOUR_TIRED);

    private final JobMapper jobs;
    private final Workshop workshop;
    private final Sheets sheets;
    private final CaseSheets cases;
    private final Photos photos;
    private final Recordings recordings;
    private final WorkshopLogs log;
    private final TransactionTemplate transaction;
    private final boolean wanted;
    private final Instant today;

    DemoWorkshop(
            JobMapper jobs,
            Workshop workshop,
            Sheets sheets,
            CaseSheets cases,
            Photos photos,
            Recordings recordings,
            WorkshopLogs log,
            TransactionTemplate transaction,
            @Value("${escrel.demo}") boolean wanted,
            Clock clock) {
        this.wanted = wanted;
        this.transaction = transaction;
        this.log = log;
        this.jobs = jobs;
        this.workshop = workshop;
        this.sheets = sheets;
        this.cases = cases;
        this.photos = photos;
        this.recordings = recordings;
        this.today = clock.instant().truncatedTo(ChronoUnit.HOURS);
    }

    /** All of it or nothing: an interrupted start begins again. */
    @Override
    public void run(ApplicationArguments args) {
        if (wanted && jobs.count() == 0) {
            transaction.executeWithoutResult(t -> fill());
        }
    }

    private void fill() {
        DemoCases.ALL.forEach(id -> cases.keep(DemoCases.called(id)));
        CalibreSheet cv12 = sheet("cv-12");
        CalibreSheet l43 = sheet("l-43");
        sheet("cv-24");
        sheet("cv-28");
        CalibreSheet cv33 = sheet("cv-33");
        CalibreSheet p8 = sheet("p-8");
        pocketWatch(l43);
        new OnTheBench(workshop, photos, today)
                .tell(cv33, sheets.latest("cv-24").orElseThrow());
        new AtTheDesk(workshop, recordings, today).tell(sheets.latest("cv-24").orElseThrow(), cv12);
        new WaitingForParts(workshop, today).tell(cv12);
        DemoStores.fill(log, LocalDate.ofInstant(today, ZoneId.systemDefault()));
        new AboutToClimb(workshop, today).tell(sheets.latest("cv-28").orElseThrow());
        new AtTheDoor(workshop, recordings, today).tell(cv12, p8);
        // independent of each other, and two cores halve the wait
        Map<String, CalibreSheet> bySheet = new HashMap<>();
        FinishedServices.ALL.forEach(
                p -> bySheet.put(p.calibre(), sheets.latest(p.calibre()).orElseThrow()));
        Map<Integer, Story> past = new ConcurrentHashMap<>();
        FinishedServices.ALL.parallelStream()
                .forEach(p -> past.put(
                        p.job(),
                        FinishedServices.tell(
                                p, Objects.requireNonNull(bySheet.get(p.calibre())), daysAgo(p.daysAgo()))));
        FinishedServices.ALL.forEach(p -> workshop.keep(
                p.job(),
                daysAgo(p.daysAgo()),
                Objects.requireNonNull(past.get(p.job())).steps()));
    }

    private CalibreSheet sheet(String id) {
        try (InputStream in = new ClassPathResource("demo/calibres/" + id + ".json").getInputStream()) {
            CalibreSheet sheet = SheetJson.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            sheets.keep(sheet);
            return sheet;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Instant daysAgo(int days) {
        return today.minus(Duration.ofDays(days));
    }

    /** Finished last week: it ran for an hour and stopped; a worn third-wheel hole was bushed. */
    private void pocketWatch(CalibreSheet l43) {
        Story story = new Story(l43, daysAgo(31))
                .then(new Arrival(
                        "Lanthorn lamp-room pocket watch",
                        "Lamp room, Hallan Light",
                        "by the mail boat, Tuesdays",
                        "Lanthorn",
                        "LR-2, lamp room no. 7",
                        "Runs for an hour and stops. Has timed the lamp for two generations of keepers.",
                        Stance.CONSERVE,
                        "Nickel case with dents at the hinge, crystal scratched, enamel dial with hairlines at 8. Came with"
                                + " its chain in a wooden box.",
                        "Case 4117, movement 4117, plates numbered 7. Scratched inside the back: two earlier service"
                                + " marks."))
                .then(new PhotoAdded(1, null, "As it arrived (drawn stand-in)"))
                .then(new CalibreBound("l-43", 1))
                .in(DemoCases.called("lanthorn-lr-2"));
        DemoReadings.take(l43, POCKET_WORN, ReadingState.AS_RECEIVED).forEach(story::then);
        story.later(Duration.ofDays(2))
                .strip(Map.of(
                        "third-wheel",
                        new PartOff(
                                "third-wheel",
                                Grade.WORN,
                                ScrewsFound.AS_ON_SHEET,
                                PartOff.Plan.KEEP,
                                "upper pivot bright, lower dark",
                                ""),
                        "mainspring",
                        new PartOff(
                                "mainspring",
                                Grade.BROKEN,
                                ScrewsFound.AS_ON_SHEET,
                                PartOff.Plan.REPLACE,
                                "blued, lies in a tight spiral",
                                "")));
        String spring = story.keyOf("mainspring");
        story.then(new FindingRaised(
                "three-quarter-plate",
                Grade.MEND,
                Defect.OUT_OF_ROUND,
                Origin.WEAR,
                "third-wheel hole worn to one side; the wheel leans and jams under full wind"));
        String hole = story.lastKey();
        story.then(new PhotoAdded(2, "three-quarter-plate", "The worn hole, enlarged (drawn stand-in)"))
                .then(new Decided(hole, Decision.REPAIR, "bushed in brass, end-shake set to a hair", ""))
                .then(new Decided(
                        spring, Decision.REPLACE_NEW, "modern alloy, same width", "the workshop's spring drawer"))
                .later(Duration.ofDays(6))
                .wash()
                .later(Duration.ofDays(1))
                .climb(code -> true, Story::noReading)
                .later(Duration.ofDays(1));
        DemoReadings.take(l43, POCKET_SERVED, ReadingState.FINAL_CASED).forEach(story::then);
        story.later(Duration.ofDays(2))
                .then(HandedOver.from(Schools.DEFAULT, "by the mail boat, in its box; the old mainspring in a bag"));
        int number = workshop.keep(POCKET_WATCH, daysAgo(31), story.steps());
        photos.keep(number, DemoPictures.called("pocket-watch"));
        photos.keep(number, DemoPictures.called("worn-hole"));
    }
}
