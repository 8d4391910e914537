package escrel.web.demo;

import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Gauged;
import escrel.core.parts.OldPart;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Stance;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.Chronograph;
import escrel.core.timing.readings.CompassTried;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Intervened;
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

    static final Taking MAGNETISED =
            new Taking("cv-24", new Condition(228, 34, 5, 96, 4, 90, 40, 7.2, 22, 0.04), 20_000);
    static final Taking FREED = new Taking("cv-24", new Condition(231, 33, 4, -11, 3, 90, 40, 7.2, 4, 0.04), 20_100);
    static final Taking FIRST = new Taking("cv-24", new Condition(268, 29, 2, 9, -2, 60, 40, 6.1, 1, 0.03), 20_200);
    static final Taking LATER = new Taking("cv-24", new Condition(277, 28, 2, 5, -2, 60, 40, 0.7, 0.4, 0.03), 20_300);
    static final Taking TIRED = new Taking("cv-12", new Condition(204, 38, 6, -34, 4, 130, 300, 2.8, 6, 0.05), 40_000);
    static final Taking BARE = new Taking("cv-12", new Condition(279, 30, 2, 8, -2, 70, 300, 0.9, 0.5, 0.03), 40_050);
    static final Taking FULL = new Taking("cv-12", new Condition(281, 29, 2, 6, -2, 70, 300, 0.9, 0.4, 0.03), 40_100);
    static final Taking EVENING = new Taking("cv-12", new Condition(196, 31, 3, 21, -3, 70, 300, 0.9, 2, 0.03), 40_200);
    static final Taking SPRUNG = new Taking("cv-12", new Condition(287, 29, 2, 9, -2, 70, 300, 7.0, 0.5, 0.03), 40_300);
    static final Taking NEXT_EVENING =
            new Taking("cv-12", new Condition(258, 30, 2, 10, -2, 70, 300, 7.0, 0.8, 0.03), 40_400);
    static final Taking IN_BEAT =
            new Taking("cv-12", new Condition(288, 29, 2, 7, -2, 70, 300, 0.6, 0.4, 0.03), 40_500);
    static final Taking SETTLED =
            new Taking("cv-12", new Condition(289, 29, 2, 5, -2, 70, 300, 0.6, 0.4, 0.03), 40_600);
    static final Taking AGAIN = new Taking("cv-24", new Condition(271, 29, 2, 7, -2, 60, 40, 0.8, 0.6, 0.03), 20_400);

    static final List<Taking> ALL = List.of(
            MAGNETISED, FREED, FIRST, LATER, AGAIN, TIRED, BARE, FULL, EVENING, SPRUNG, NEXT_EVENING, IN_BEAT, SETTLED);

    private final Workshop workshop;
    private final Recordings recordings;
    private final Instant today;

    AtTheDesk(Workshop workshop, Recordings recordings, Instant today) {
        this.workshop = workshop;
        this.recordings = recordings;
        this.today = today;
    }

    void tell(CalibreSheet cv24, CalibreSheet cv12) {
        pursers(cv24);
        shortSpring(cv12);
    }

    private Instant daysAgo(int days) {
        return today.minus(Duration.ofDays(days));
    }

    private static Occasion occasion(ReadingState state, Wound wound) {
        return new Occasion(state, Fitted.CASED, wound, null, Chronograph.NOT_SAID);
    }

    static void take(
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

    /** The bare movement, lying both ways: the first readings after it was closed. */
    private static void bare(Story story, CalibreSheet sheet, Taking taking) {
        Occasion occasion =
                new Occasion(ReadingState.FIRST_RUN, Fitted.BARE_MOVEMENT, Wound.FULL, null, Chronograph.NOT_SAID);
        for (Position position : List.of(Position.DIAL_UP, Position.DIAL_DOWN)) {
            story.then(DemoReadings.take(sheet, taking.condition(), occasion, position, taking.seed(), null));
        }
    }

    /** Second service in six years: magnetised on arrival, beat error cured at the stud carrier, running in. */
    private void pursers(CalibreSheet cv24) {
        Story story = new Story(cv24, daysAgo(9), PURSERS)
                .then(new Arrival(
                        "Tidewell purser's automatic",
                        "Purser, ferry Auk",
                        "aboard, or at the ferry office",
                        "Tidewell",
                        "P-640, service pattern",
                        "Gains minutes since the winter; otherwise nothing wrong. Served here six years ago.",
                        Stance.SYMPATHETIC,
                        "Steel case with desk scratches, dial sound, crystal clear.",
                        "Movement 61877."))
                .then(new WorkAgreed(WorkAgreed.Work.SERVICE, ""))
                .then(new CalibreBound("cv-24", 1))
                .in(DemoCases.called("tidewell-p-640"))
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
                .then(new CopyAtHand("mainspring", CopyAtHand.Origin.NEW, "the workshop's spring drawer", ""))
                .later(Duration.ofDays(1))
                .wash()
                .later(Duration.ofDays(1))
                .climb(code -> true, s -> bare(s, cv24, FIRST))
                .until(today.minus(Duration.ofHours(50)));
        take(story, cv24, FIRST, ReadingState.FIRST_RUN, Wound.FULL, null);
        story.then(new Intervened(Intervened.What.STUD_MOVED, "a little; beat error read again"))
                .until(today.minus(Duration.ofHours(43)));
        take(story, cv24, LATER, ReadingState.RUN_IN, Wound.FULL, 2);
        clickSpring(story, cv24);
        int number = workshop.keep(PURSERS, daysAgo(9), story.steps());
        DemoReadings.keepSound(recordings, number, cv24, MAGNETISED, "as received, dial up");
        DemoReadings.keepSound(recordings, number, cv24, LATER, "run in, dial up");
    }

    /** On the second day the click spring let go: opened again as far as that, and running in anew. */
    private void clickSpring(Story story, CalibreSheet cv24) {
        story.until(today.minus(Duration.ofHours(20)))
                .then(new OpenedAgain(
                        OpenedAgain.Reason.STOPS, "click-spring", "ran down at once: the click no longer holds"))
                .strip(Map.of(
                        "click-spring",
                        new PartOff(
                                "click-spring",
                                Grade.BROKEN,
                                ScrewsFound.AS_ON_SHEET,
                                PartOff.Plan.REPLACE,
                                "broken at its bend",
                                "")));
        story.then(new Decided(story.keyOf("click-spring"), Decision.REPLACE_DONOR, "", "a CV-24 without balance"))
                .then(new CopyAtHand(
                        "click-spring",
                        CopyAtHand.Origin.DONOR,
                        DemoStores.CV_24.name(),
                        "",
                        DemoStores.CV_24.asSource("click-spring")))
                .wash()
                .climb(code -> true, s -> bare(s, cv24, AGAIN))
                .until(today.minus(Duration.ofHours(13)));
        take(story, cv24, AGAIN, ReadingState.RUN_IN, Wound.FULL, null);
    }

    /** Good at full wind, falls off before the evening: the spring of an earlier repairer is too short for its drum. */
    private void shortSpring(CalibreSheet cv12) {
        Story story = new Story(cv12, daysAgo(16), SHORT_SPRING)
                .then(new Arrival(
                        "Tidewell service watch",
                        "Second mate, ferry Gannet",
                        "by the ferry office",
                        "Tidewell",
                        "S-112, service pattern",
                        "Loses in the evening, right again after winding.",
                        Stance.SYMPATHETIC,
                        "Steel case, crystal crazed.",
                        "Movement 18344; an earlier repairer's mark inside the back."))
                .then(new WorkAgreed(WorkAgreed.Work.SERVICE, ""))
                .then(new CalibreBound("cv-12", 1))
                .in(DemoCases.called("tidewell-s-112"));
        take(story, cv12, TIRED, ReadingState.AS_RECEIVED, Wound.FULL, null);
        story.later(Duration.ofDays(4))
                .strip(Map.of())
                .later(Duration.ofDays(2))
                .wash()
                .later(Duration.ofDays(1))
                .climb(code -> true, s -> bare(s, cv12, BARE))
                .until(daysAgo(7));
        take(story, cv12, FULL, ReadingState.FINAL_CASED, Wound.FULL, null);
        story.until(daysAgo(6));
        take(story, cv12, EVENING, ReadingState.FINAL_CASED, Wound.AFTER_24_H, 1);
        newSpring(story, cv12);
        collet(story, cv12);
        int number = workshop.keep(SHORT_SPRING, daysAgo(16), story.steps());
        DemoReadings.keepSound(recordings, number, cv12, EVENING, "final, 24 h after winding, dial up");
    }

    /** Second round: the right spring arrived; in beat it is no longer. */
    private void newSpring(Story story, CalibreSheet cv12) {
        story.then(new FindingRaised(
                "mainspring",
                Grade.MEND,
                Defect.WRONG_PART,
                Origin.EARLIER_REPAIR,
                "good at full wind, 85° less by the next evening: too short for its drum"));
        String spring = story.lastKey();
        story.then(new Decided(spring, Decision.REPLACE_NEW, "0.10 × 1.2 × 360 mm", "Stennay material store"))
                .until(daysAgo(4))
                .then(new OpenedAgain(OpenedAgain.Reason.NEW_PART, "mainspring", "the right spring is here"))
                .strip(Map.of())
                .then(new Gauged("mainspring", Gauged.What.SPRING_LENGTH, 262))
                .then(new CopyAtHand(
                        "mainspring", CopyAtHand.Origin.NEW, "Stennay material store", "0.10 × 1.2 × 360 mm"))
                .wash()
                .climb(code -> true, s -> bare(s, cv12, SPRUNG));
        take(story, cv12, SPRUNG, ReadingState.FINAL_CASED, Wound.FULL, null);
        story.until(daysAgo(3));
        take(story, cv12, NEXT_EVENING, ReadingState.FINAL_CASED, Wound.AFTER_24_H, null);
    }

    /** Third round: the collet slipped while the balance was off; it is turned back. */
    private void collet(Story story, CalibreSheet cv12) {
        story.until(daysAgo(2))
                .then(new OpenedAgain(OpenedAgain.Reason.BEAT_ERROR, "balance", "collet"))
                .strip(Map.of())
                .then(new Intervened(Intervened.What.COLLET_TURNED, "about 6°, clockwise on the staff"))
                .wash()
                .climb(code -> true, s -> bare(s, cv12, IN_BEAT))
                .until(daysAgo(1));
        take(story, cv12, SETTLED, ReadingState.FINAL_CASED, Wound.FULL, null);
        story.then(new OldPart("mainspring", 0, OldPart.Fate.RETURNED));
    }
}
