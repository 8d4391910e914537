package escrel.web.demo;

import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Grade;
import escrel.core.handover.HandedOver;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.school.Schools;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Stance;
import escrel.core.timing.readings.ReadingState;
import escrel.core.watchcase.CaseSheet;
import escrel.simulator.movement.Condition;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** A dozen finished services of past years, so that a calibre's history and this workshop's own times are real. */
final class FinishedServices {
    /**
     * One of them.
     *
     * @param worn part that was replaced, by its code
     */
    record Past(int job, String calibre, int daysAgo, String watch, String owner, String complaint, String worn) {}

    static final List<Past> ALL = List.of(
            new Past(10, "cv-12", 2210, "Tidewell service watch", "Pilot, ferry Auk", "stops at night", "mainspring"),
            new Past(
                    11,
                    "cv-24",
                    2150,
                    "Tidewell purser's automatic",
                    "Purser, ferry Auk",
                    "does not wind itself",
                    "reduction-wheel"),
            new Past(
                    12,
                    "cv-12",
                    1890,
                    "Skarholt deck watch",
                    "Mate, pilot boat Skua",
                    "loses a minute a day",
                    "crown-wheel"),
            new Past(13, "cv-28", 1655, "Skarholt day-date", "Harbour office, Stennay", "day sticks", "reverser-1"),
            new Past(
                    14,
                    "cv-24",
                    1402,
                    "Merrowdale Sunday watch",
                    "Schoolmistress, Hallan",
                    "fast since a fall",
                    "mainspring"),
            new Past(15, "cv-12", 1180, "Tidewell service watch", "Lamp room, Grey Point", "dry, due", "mainspring"),
            new Past(16, "cv-28", 990, "Skarholt day-date", "Second engineer, ferry Auk", "due", "mainspring"),
            new Past(
                    17,
                    "cv-24",
                    812,
                    "Tidewell purser's automatic",
                    "Purser, ferry Gannet",
                    "stops when laid down",
                    "reduction-wheel"),
            new Past(18, "cv-12", 640, "Merrowdale dress watch", "Organist, Stennay", "hands slip", "mainspring"),
            new Past(
                    19,
                    "cv-24",
                    433,
                    "Tidewell pilot's automatic",
                    "Pilot, Skarrow roads",
                    "date jumps at noon",
                    "mainspring"),
            new Past(20, "cv-28", 268, "Skarholt day-date", "Harbour-master's clerk", "crown came out", "mainspring"),
            new Past(21, "cv-12", 120, "Skarholt boat watch", "Boat hand, Skua", "ran under water once", "mainspring"));

    private FinishedServices() {}

    /** The whole story of one, as the workshop would have recorded it. */
    static Story tell(Past past, CalibreSheet sheet, Instant begin) {
        Random random = new Random(past.job());
        Story story = new Story(sheet, begin, past.job())
                .then(new Arrival(
                        past.watch(),
                        past.owner(),
                        "by the mail boat",
                        past.watch().split(" ")[0],
                        DemoCases.ofWatch(past.watch())
                                .map(CaseSheet::reference)
                                .orElse(""),
                        past.complaint(),
                        Stance.SYMPATHETIC,
                        "Worn as a tool is; crystal scratched.",
                        ""))
                .then(new CalibreBound(sheet.id(), 1));
        DemoCases.ofWatch(past.watch()).ifPresent(story::in);
        DemoReadings.take(sheet, new Taking(sheet.id(), before(random), past.job() * 100L), ReadingState.AS_RECEIVED)
                .forEach(story::then);
        story.later(Duration.ofDays(3 + random.nextInt(9)))
                .strip(Map.of(
                        past.worn(),
                        new PartOff(
                                past.worn(), Grade.MEND, ScrewsFound.AS_ON_SHEET, PartOff.Plan.REPLACE, "worn", "")));
        story.then(new Decided(story.keyOf(past.worn()), Decision.REPLACE_NEW, "", "the workshop's own drawers"))
                .later(Duration.ofDays(1 + random.nextInt(6)))
                .wash()
                .later(Duration.ofDays(1))
                .climbAll()
                .later(Duration.ofDays(1));
        DemoReadings.take(
                        sheet, new Taking(sheet.id(), after(random), past.job() * 100L + 50), ReadingState.FINAL_CASED)
                .forEach(story::then);
        return story.later(Duration.ofDays(1)).then(HandedOver.from(Schools.DEFAULT, "by the mail boat"));
    }

    static Condition before(Random random) {
        return new Condition(
                185 + random.nextInt(45),
                30 + random.nextInt(25),
                random.nextInt(9),
                -40 + random.nextInt(60),
                random.nextInt(7),
                60 + random.nextInt(150),
                random.nextInt(360),
                1 + 4 * random.nextDouble(),
                4 + random.nextInt(5),
                0.05);
    }

    static Condition after(Random random) {
        return new Condition(
                262 + random.nextInt(30),
                24 + random.nextInt(12),
                random.nextInt(4),
                random.nextInt(9),
                -1 - random.nextInt(3),
                40 + random.nextInt(60),
                random.nextInt(360),
                0.3 + random.nextDouble(),
                0.3,
                0.03);
    }
}
