package escrel.web.demo;

import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Gauged;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.Noted;
import escrel.core.service.Stance;
import escrel.core.teardown.PartOff;
import escrel.core.teardown.ScrewsFound;
import escrel.core.teardown.WayInPlanned;
import escrel.core.timing.readings.Chronograph;
import escrel.core.timing.readings.CompassTried;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Occasion;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Wound;
import escrel.simulator.movement.Condition;
import escrel.web.job.Workshop;
import escrel.web.sound.Recordings;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Jobs of the demo whose story is told by their readings; some of these carry the sound they were worked out from. */
final class AtTheDesk {
    private static final int PURSERS = 2;
    private static final int SHORT_SPRING = 4;
    private static final int LADYS = 9;

    /**
     * Six positions of a watch in a condition.
     *
     * @param seed of the simulated sound
     */
    record Taking(String calibre, Condition condition, long seed) {}

    static final Taking MAGNETISED =
            new Taking("cv-24", new Condition(228, 34, 5, 96, 4, 90, 40, 7.2, 22, 0.04), 20_000);
    static final Taking FREED = new Taking("cv-24", new Condition(231, 33, 4, -11, 3, 90, 40, 7.2, 4, 0.04), 20_100);
    static final Taking FIRST = new Taking("cv-24", new Condition(268, 29, 2, 9, -2, 60, 40, 6.1, 1, 0.03), 20_200);
    static final Taking LATER = new Taking("cv-24", new Condition(277, 28, 2, 5, -2, 60, 40, 0.7, 0.4, 0.03), 20_300);
    static final Taking TIRED = new Taking("cv-12", new Condition(204, 38, 6, -34, 4, 130, 300, 2.8, 6, 0.05), 40_000);
    static final Taking FULL = new Taking("cv-12", new Condition(281, 29, 2, 6, -2, 70, 300, 0.9, 0.4, 0.03), 40_100);
    static final Taking EVENING = new Taking("cv-12", new Condition(196, 31, 3, 21, -3, 70, 300, 0.9, 2, 0.03), 40_200);
    static final Taking WORN = new Taking("p-8", new Condition(266, 70, 21, 12, -14, 120, 110, 2.4, 3, 0.05), 90_000);

    static final List<Taking> ALL = List.of(MAGNETISED, FREED, FIRST, LATER, TIRED, FULL, EVENING, WORN);

    private final Workshop workshop;
    private final Recordings recordings;
    private final Instant today;

    AtTheDesk(Workshop workshop, Recordings recordings, Instant today) {
        this.workshop = workshop;
        this.recordings = recordings;
        this.today = today;
    }

    void tell(CalibreSheet cv24, CalibreSheet cv12, CalibreSheet p8) {
        pursers(cv24);
        shortSpring(cv12);
        ladys(p8);
    }

    private Instant daysAgo(int days) {
        return today.minus(Duration.ofDays(days));
    }

    private static Occasion occasion(ReadingState state, Wound wound) {
        return new Occasion(state, Fitted.CASED, wound, null, Chronograph.NOT_SAID);
    }

    private static void take(
            Story story,
            CalibreSheet sheet,
            Taking taking,
            ReadingState state,
            Wound wound,
            @Nullable Integer recordingOfDialUp) {
        for (Position position : Position.values()) {
            story.then(DemoReadings.take(
                    sheet,
                    taking.condition(),
                    occasion(state, wound),
                    position,
                    taking.seed(),
                    position == Position.DIAL_UP ? recordingOfDialUp : null));
        }
    }

    private void keepSound(int job, CalibreSheet sheet, Taking taking, String name) {
        recordings.keep(
                job,
                name,
                DemoReadings.sound(sheet, taking.condition(), Position.DIAL_UP, taking.seed()),
                "simulated pick-up",
                true);
    }

    /** Second service in six years: magnetised on arrival, beat error cured at the stud carrier, running in. */
    private void pursers(CalibreSheet cv24) {
        Story story = new Story(cv24, daysAgo(9), PURSERS)
                .then(new Arrival(
                        "Tidewell purser's automatic",
                        "Purser, ferry Auk",
                        "aboard, or at the ferry office",
                        "Tidewell",
                        "service pattern, automatic",
                        "Gains minutes since the winter; otherwise nothing wrong. Served here six years ago.",
                        Stance.SYMPATHETIC,
                        "Steel case with desk scratches, dial sound, crystal clear.",
                        "Movement 61877."))
                .then(new CalibreBound("cv-24", 1))
                .then(new CompassTried(CompassTried.Follows.STRONGLY, Source.SIMULATED, "at the crown side"));
        take(story, cv24, MAGNETISED, ReadingState.AS_RECEIVED, Wound.FULL, 1);
        story.then(new Demagnetised(3, ""))
                .then(new CompassTried(CompassTried.Follows.NOT, Source.SIMULATED, "after demagnetising"));
        take(story, cv24, FREED, ReadingState.AFTER_DEMAGNETISING, Wound.FULL, null);
        story.later(Duration.ofDays(2))
                .strip(Map.of(
                        "mainspring",
                        new PartOff(
                                "mainspring",
                                Grade.WORN,
                                ScrewsFound.AS_ON_SHEET,
                                PartOff.Plan.REPLACE,
                                "set: lies in a tight spiral",
                                "")));
        story.then(new Decided(story.keyOf("mainspring"), Decision.REPLACE_NEW, "", "the workshop's spring drawer"))
                .later(Duration.ofDays(2))
                .wash()
                .later(Duration.ofDays(1))
                .climbAll()
                .until(today.minus(Duration.ofHours(20)));
        take(story, cv24, FIRST, ReadingState.FIRST_RUN, Wound.FULL, null);
        story.then(new Noted("balance", "Beat error 1.4 ms: stud carrier moved a little, read again: 0.2 ms."))
                .until(today.minus(Duration.ofHours(13)));
        take(story, cv24, LATER, ReadingState.RUN_IN, Wound.FULL, 2);
        int number = workshop.keep(PURSERS, daysAgo(9), story.steps());
        keepSound(number, cv24, MAGNETISED, "as received, dial up");
        keepSound(number, cv24, LATER, "run in, dial up");
    }

    /** Good at full wind, falls off before the evening: the spring of an earlier repairer is too short for its drum. */
    private void shortSpring(CalibreSheet cv12) {
        Story story = new Story(cv12, daysAgo(16), SHORT_SPRING)
                .then(new Arrival(
                        "Tidewell service watch",
                        "Second mate, ferry Gannet",
                        "by the ferry office",
                        "Tidewell",
                        "service pattern",
                        "Loses in the evening, right again after winding.",
                        Stance.SYMPATHETIC,
                        "Steel case, crystal crazed.",
                        "Movement 18344; an earlier repairer's mark inside the back."))
                .then(new CalibreBound("cv-12", 1));
        take(story, cv12, TIRED, ReadingState.AS_RECEIVED, Wound.FULL, null);
        story.later(Duration.ofDays(4))
                .strip(Map.of())
                .later(Duration.ofDays(2))
                .wash()
                .later(Duration.ofDays(1))
                .climbAll()
                .until(daysAgo(3));
        take(story, cv12, FULL, ReadingState.FINAL_CASED, Wound.FULL, null);
        story.until(daysAgo(2));
        take(story, cv12, EVENING, ReadingState.FINAL_CASED, Wound.AFTER_24_H, 1);
        story.then(new FindingRaised(
                        "mainspring",
                        Grade.MEND,
                        Defect.WRONG_PART,
                        Origin.EARLIER_REPAIR,
                        "good at full wind, 85° less by the next evening: too short for its drum"))
                .then(new Gauged("mainspring", Gauged.What.SPRING_LENGTH, 262))
                .then(new WayInPlanned("mainspring", "amplitude falls off by the evening; the spring is too short"));
        int number = workshop.keep(SHORT_SPRING, daysAgo(16), story.steps());
        keepSound(number, cv12, EVENING, "final, 24 h after winding, dial up");
    }

    /** Fine lying, far lower hanging: a worn balance pivot is suspected. */
    private void ladys(CalibreSheet p8) {
        Story story = new Story(p8, daysAgo(3), LADYS)
                .then(new Arrival(
                        "Pellworth lady's watch",
                        "Keeper's widow, Hallan Light",
                        "by letter",
                        "Pellworth",
                        "P-8, gold-filled",
                        "Keeps time on the table and loses on the wrist.",
                        Stance.CONSERVE,
                        "Gold-filled case thin at the corners, dial clean.",
                        "Movement 90412."))
                .then(new CalibreBound("p-8", 1));
        take(story, p8, WORN, ReadingState.AS_RECEIVED, Wound.FULL, 1);
        story.then(new Noted(
                "balance",
                "70° lower hanging than lying: a worn balance pivot is suspected. Owner asked about the cost."));
        int number = workshop.keep(LADYS, daysAgo(3), story.steps());
        keepSound(number, p8, WORN, "as received, dial up");
    }
}
