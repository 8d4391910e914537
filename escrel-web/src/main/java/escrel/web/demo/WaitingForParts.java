package escrel.web.demo;

import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Grade;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Stance;
import escrel.core.service.WorkAgreed;
import escrel.core.supply.Ordered;
import escrel.core.timing.readings.ReadingState;
import escrel.simulator.movement.Condition;
import escrel.web.job.Workshop;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;

/** The harbour-master's: an interim crown wheel is in, the ordered one is late; the third wheel is away for cutting. */
final class WaitingForParts {
    static final Taking HARBOUR_TIRED =
            new Taking("cv-12", new Condition(214, 38, 6, -22, 4, 150, 60, 3.9, 6, 0.05), 500);
    private static final int HARBOUR_MASTER = 5;

    private final Workshop workshop;
    private final Instant today;

    WaitingForParts(Workshop workshop, Instant today) {
        this.workshop = workshop;
        this.today = today;
    }

    void tell(CalibreSheet cv12) {
        Instant opened = today.minus(Duration.ofDays(12));
        LocalDate day = LocalDate.ofInstant(today, ZoneId.systemDefault());
        Story story = new Story(cv12, opened)
                .then(new Arrival(
                        "Tidewell harbour-master's",
                        "Harbour-master, Stennay",
                        "at the harbour office, mornings",
                        "Tidewell",
                        "H-118, service pattern",
                        "Loses half a minute a day and winds with a crunch.",
                        Stance.SYMPATHETIC,
                        "Steel case, plating of the bezel worn through, crystal crazed, crown worn smooth.",
                        "Case 20817, movement 20817: they agree."))
                .then(new WorkAgreed(WorkAgreed.Work.SERVICE, ""))
                .then(new CalibreBound("cv-12", 1))
                .in(DemoCases.called("tidewell-h-118"));
        DemoReadings.take(cv12, HARBOUR_TIRED, ReadingState.AS_RECEIVED).forEach(story::then);
        story.later(Duration.ofDays(1))
                .strip(Map.of(
                        "crown-wheel",
                        new PartOff(
                                "crown-wheel",
                                Grade.MEND,
                                ScrewsFound.AS_ON_SHEET,
                                PartOff.Plan.KEEP,
                                "two teeth chipped",
                                ""),
                        "third-wheel",
                        new PartOff(
                                "third-wheel",
                                Grade.BROKEN,
                                ScrewsFound.AS_ON_SHEET,
                                PartOff.Plan.KEEP,
                                "pinion leaves grooved by the centre wheel",
                                "")));
        story.then(new Decided(
                        story.keyOf("crown-wheel"),
                        Decision.INTERIM,
                        "the chipped one goes back until the ordered one arrives",
                        ""))
                .then(new Decided(
                        story.keyOf("third-wheel"),
                        Decision.SEND_OUT,
                        "away for wheel cutting, promised back this week",
                        "the wheel cutter at Skarholt"))
                .then(new Ordered(
                        Ordered.Kind.PART,
                        story.keyOf("crown-wheel"),
                        "crown-wheel",
                        "Crown wheel",
                        "Stennay material store",
                        "S-0412",
                        "5.2 mm, 28 teeth",
                        24.0,
                        day.minusDays(2)))
                .then(new Ordered(
                        Ordered.Kind.WORK,
                        story.keyOf("third-wheel"),
                        "third-wheel",
                        "Third wheel",
                        "the wheel cutter at Skarholt",
                        null,
                        null,
                        85.0,
                        day.plusDays(3)))
                .later(Duration.ofDays(1))
                .wash()
                .later(Duration.ofDays(1))
                .climb(code -> !code.equals("third-wheel"), Story::noReading);
        workshop.keep(HARBOUR_MASTER, opened, story.steps());
    }
}
