package escrel.web.demo;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.learning.LearntSheet;
import escrel.core.lume.LumeCounted;
import escrel.core.lume.LumeItem;
import escrel.core.lume.LumePoint;
import escrel.core.lume.LumeSeen;
import escrel.core.owner.OwnerAsked;
import escrel.core.parts.FindingRaised;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.Happened;
import escrel.core.service.PartOff;
import escrel.core.service.PhotoAdded;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Stance;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.ReadingState;
import escrel.core.triage.Check;
import escrel.core.triage.Checked;
import escrel.simulator.movement.Condition;
import escrel.web.job.Workshop;
import escrel.web.photos.Photos;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/** Jobs of the demo that stand open: the lamp-timer half way down, the alarm that waits, an automatic to be stripped. */
final class OnTheBench {
    private static final int LAMP_TIMER = 3;
    private static final int ALARM = 6;
    private static final int PILOTS = 22;

    private static final Taking LAMP_TIMER_TIRED =
            new Taking("cv-33", new Condition(218, 36, 5, 14, 3, 90, 80, 2.6, 5, 0.05), 300);
    private static final Taking PILOTS_TIRED =
            new Taking("cv-24", new Condition(226, 33, 4, -12, 3, 110, 200, 2.1, 5, 0.05), 2200);
    static final List<Taking> ALL = List.of(LAMP_TIMER_TIRED, PILOTS_TIRED);

    private final Workshop workshop;
    private final Photos photos;
    private final Instant today;

    OnTheBench(Workshop workshop, Photos photos, Instant today) {
        this.workshop = workshop;
        this.photos = photos;
        this.today = today;
    }

    void tell(CalibreSheet cv33, CalibreSheet cv24) {
        lampTimer(cv33);
        alarm();
        pilots(cv24);
    }

    private Instant daysAgo(int days) {
        return today.minus(Duration.ofDays(days));
    }

    /** Half way down: the column wheel with its left-hand screw is next. */
    private void lampTimer(CalibreSheet cv33) {
        Story story = new Story(cv33, daysAgo(4), LAMP_TIMER)
                .then(new Arrival(
                        "Skarholt lamp-timer",
                        "Lamp room, Grey Point",
                        "by the mail boat, Tuesdays",
                        "Skarholt",
                        "T-9, lamp-timer",
                        "The minute hand creeps back after reset; times the flash of the light.",
                        Stance.CONSERVE,
                        "Steel case, pushers stiff, dial sound.",
                        "Movement 3108; a date of an earlier repairer scratched inside the back."))
                .then(new WorkAgreed(WorkAgreed.Work.SERVICE, ""))
                .then(new CalibreBound("cv-33", 1))
                .in(DemoCases.called("skarholt-t-9"));
        DemoReadings.take(cv33, LAMP_TIMER_TIRED, ReadingState.AS_RECEIVED).forEach(story::then);
        story.later(Duration.ofDays(3));
        story.stripUntil(
                "chrono-bridge",
                Map.of(
                        "hammer",
                        new PartOff(
                                "hammer", Grade.WORN, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "faces scored", ""),
                        "brake",
                        new PartOff(
                                "brake",
                                Grade.GOOD,
                                ScrewsFound.of(ScrewsFound.State.FOREIGN, 1),
                                PartOff.Plan.KEEP,
                                "its screw is an earlier repairer's, thread a little thicker",
                                "")));
        story.then(new PhotoAdded(1, "chrono-bridge", "Before the chronograph bridge (drawn stand-in)", Side.TRAIN))
                .then(new FindingRaised(
                        "hammer", Grade.MEND, Defect.SCORED, Origin.WEAR, "both faces scored by the heart cams"));
        // the earlier repairer did not drive home what he had opened
        story.stripUntil(
                "column-wheel",
                Map.of(
                        "chrono-bridge", loose("chrono-bridge", 2),
                        "operating-lever", loose("operating-lever", 1),
                        "reset-lever", loose("reset-lever", 1)));
        story.then(new Happened("minute-jumper", Happened.What.LOST, "flew towards the window while it was unhooked"))
                .then(new PhotoAdded(
                        2, "column-wheel", "The column wheel, its screw is next (drawn stand-in)", Side.TRAIN));
        int number = workshop.keep(LAMP_TIMER, daysAgo(4), story.steps());
        photos.keep(number, DemoPictures.called("lamp-timer-bridge"));
        photos.keep(number, DemoPictures.called("lamp-timer-column-wheel"));
    }

    private static PartOff loose(String part, int screws) {
        return new PartOff(
                part, Grade.GOOD, ScrewsFound.of(ScrewsFound.State.LOOSE, screws), PartOff.Plan.KEEP, "", "");
    }

    /** Arrived; the lume was counted; the owner has not answered yet. */
    private void alarm() {
        Story story = new Story(LearntSheet.unknown(), daysAgo(2), ALARM)
                .then(new Arrival(
                        "Merrowdale alarm",
                        "Bosun, pilot boat Skua",
                        "through the pilot station",
                        "Merrowdale",
                        "A-31, M·7H inside the back",
                        "Called the watch on deck for thirty years; the alarm no longer rings, the time runs.",
                        Stance.CONSERVE,
                        "Steel case, two crowns, lume on dial and hands of unknown age.",
                        "Movement signed M·7H; no sheet to be had."))
                .in(DemoCases.called("merrowdale-a-31"))
                .then(new Checked(Check.BALANCE_SWINGS, Checked.Outcome.YES, ""))
                .then(new Checked(Check.WINDS, Checked.Outcome.YES, "both crowns"))
                .then(new Checked(Check.SETS, Checked.Outcome.YES, ""))
                .then(new Checked(Check.DATE_CHANGES, Checked.Outcome.NONE, ""))
                .then(new Checked(Check.DIAL_SOUND, Checked.Outcome.YES, ""))
                .then(new LumeSeen(List.of(LumeItem.DIAL, LumeItem.HOUR_HAND, LumeItem.MINUTE_HAND)))
                .then(counted(LumeItem.DIAL, 412))
                .then(counted(LumeItem.HOUR_HAND, 165))
                .then(counted(LumeItem.MINUTE_HAND, 165))
                .then(new LumePoint(LumePoint.Point.MASK, true))
                .then(new LumePoint(LumePoint.Point.GLOVES, true))
                .then(new OwnerAsked(
                        "The dial's luminous paint counts above background, the hands' was not shown to. May it stay untouched,"
                                + " and the watch go back with a warning?",
                        null,
                        null));
        workshop.keep(ALARM, daysAgo(2), story.steps());
    }

    /** Counted in five minutes, against 150 with the item away; simulated, as all of the demo. */
    private static LumeCounted counted(LumeItem item, int counts) {
        return new LumeCounted(item, LumeCounted.Unit.COUNTS, counts, 5, 150, 5, true);
    }

    /** Read and waiting: nothing is off yet. */
    private void pilots(CalibreSheet cv24) {
        Story story = new Story(cv24, daysAgo(1), PILOTS)
                .then(new Arrival(
                        "Tidewell pilot's automatic",
                        "Pilot, Skarrow roads",
                        "at the pilot station",
                        "Tidewell",
                        "P-640, service pattern",
                        "Due for its service; the date is slow to jump.",
                        Stance.SYMPATHETIC,
                        "Steel case, crystal scratched.",
                        "Movement 70244."))
                .then(new WorkAgreed(WorkAgreed.Work.SERVICE, ""))
                .then(new CalibreBound("cv-24", 1))
                .in(DemoCases.called("tidewell-p-640"));
        DemoReadings.take(cv24, PILOTS_TIRED, ReadingState.AS_RECEIVED).forEach(story::then);
        workshop.keep(PILOTS, daysAgo(1), story.steps());
    }
}
