package escrel.web.demo;

import static escrel.core.triage.Checked.Outcome.NO;
import static escrel.core.triage.Checked.Outcome.NONE;
import static escrel.core.triage.Checked.Outcome.YES;

import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.marks.MarkSeen;
import escrel.core.outside.OutsidePiece;
import escrel.core.outside.OutsideSeen;
import escrel.core.outside.ParcelCame;
import escrel.core.outside.ParcelItem;
import escrel.core.owner.ClaimSaid;
import escrel.core.owner.Estimate;
import escrel.core.owner.OwnerAsked;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Suspected;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.Stance;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.Wound;
import escrel.core.triage.Check;
import escrel.core.triage.Checked;
import escrel.simulator.movement.Condition;
import escrel.web.job.Workshop;
import escrel.web.sound.Recordings;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;

/** Watches of the demo that were looked at from outside and not opened yet. */
final class AtTheDoor {
    private static final int QUAY_WATCH = 8;
    private static final int LADYS = 9;

    static final Taking WORN = new Taking("p-8", new Condition(266, 70, 21, 12, -14, 120, 110, 2.4, 3, 0.05), 90_000);

    static final List<Taking> ALL = List.of(WORN);

    private final Workshop workshop;
    private final Recordings recordings;
    private final Instant today;

    AtTheDoor(Workshop workshop, Recordings recordings, Instant today) {
        this.workshop = workshop;
        this.recordings = recordings;
        this.today = today;
    }

    void tell(CalibreSheet cv12, CalibreSheet p8) {
        quayWatch(cv12);
        ladys(p8);
    }

    /** The parcel has just arrived; the outside was looked at, the calibre is not known yet. */
    private void quayWatch(CalibreSheet cv12) {
        Story story = new Story(cv12, today)
                .then(new Arrival(
                        "Skarholt quay watch",
                        "Crane driver, Stennay quay",
                        "leaves word at the chandlery",
                        "Skarholt",
                        "",
                        "Stopped after a fall from the crane ladder.",
                        Stance.SYMPATHETIC,
                        "Everything else outside is worn as a watch is that was worn.",
                        "Case back unmarked outside."))
                .then(new ParcelCame(
                        List.of(ParcelItem.WATCH, ParcelItem.STRAP), "in a tobacco tin; the strap lies loose in it"))
                .then(new ClaimSaid("Cleaned by somebody on the mainland four years ago."));
        outside(story, OutsidePiece.CRYSTAL, Grade.BROKEN, Defect.CRACKED, "from edge to edge at 4");
        outside(story, OutsidePiece.CROWN, Grade.MEND, Defect.LOOSE, "turns without winding");
        outside(story, OutsidePiece.HANDS, Grade.MEND, Defect.BENT, "the minute hand, against the crystal");
        story.then(new OutsideSeen(List.of(OutsidePiece.PUSHERS), null))
                .then(new OutsideSeen(
                        List.of(
                                OutsidePiece.BEZEL,
                                OutsidePiece.CASE,
                                OutsidePiece.LUGS,
                                OutsidePiece.BACK,
                                OutsidePiece.DIAL,
                                OutsidePiece.STRAP),
                        Grade.GOOD))
                .then(new Checked(Check.BALANCE_SWINGS, YES, "when the case is turned"))
                .then(new Checked(Check.WINDS, NO, ""))
                .then(new Checked(Check.SETS, YES, ""))
                .then(new Checked(Check.DATE_CHANGES, NONE, ""));
        workshop.keep(QUAY_WATCH, today, story.steps());
    }

    private static void outside(Story story, OutsidePiece piece, Grade grade, Defect defect, String words) {
        story.then(new OutsideSeen(List.of(piece), grade))
                .then(new FindingRaised(null, grade, defect, Origin.UNKNOWN, piece.words() + ", " + words));
    }

    /** Fine lying, far lower hanging: a worn balance pivot is suspected, and whether it may cost that much is asked. */
    private void ladys(CalibreSheet p8) {
        Instant came = today.minus(Duration.ofDays(3));
        Story story = new Story(p8, came, LADYS)
                .then(new Arrival(
                        "Pellworth lady's watch",
                        "Keeper's widow, Hallan Light",
                        "by letter",
                        "Pellworth",
                        "L-8, gold-filled",
                        "Keeps time on the table and loses on the wrist.",
                        Stance.CONSERVE,
                        "Gold-filled case thin at the corners, dial clean.",
                        "Movement 90412."))
                .then(new MarkSeen(MarkSeen.On.MOVEMENT, null, MarkSeen.Kind.NUMBER, "90412"))
                .then(new ParcelCame(List.of(ParcelItem.WATCH, ParcelItem.LETTER), ""))
                .then(new WorkAgreed(WorkAgreed.Work.SERVICE, ""))
                .then(new CalibreBound("p-8", 1))
                .in(DemoCases.called("pellworth-l-8"))
                .then(new OutsideSeen(List.of(OutsidePiece.PUSHERS, OutsidePiece.STRAP), null))
                .then(new OutsideSeen(List.of(OutsidePiece.CASE), Grade.WORN))
                .then(new OutsideSeen(
                        List.of(
                                OutsidePiece.CRYSTAL,
                                OutsidePiece.BEZEL,
                                OutsidePiece.LUGS,
                                OutsidePiece.CROWN,
                                OutsidePiece.BACK,
                                OutsidePiece.DIAL,
                                OutsidePiece.HANDS),
                        Grade.GOOD))
                .then(new Checked(Check.BALANCE_SWINGS, YES, ""))
                .then(new Checked(Check.WINDS, YES, ""))
                .then(new Checked(Check.SETS, YES, ""))
                .then(new Checked(Check.DATE_CHANGES, NONE, ""));
        AtTheDesk.take(story, p8, WORN, ReadingState.AS_RECEIVED, Wound.FULL, 1);
        story.then(new Suspected("balance", "70° lower hanging than lying: a balance pivot may be worn"))
                .then(new OwnerAsked(
                        "It runs, and loses on the wrist: a pivot of the balance is probably worn. A service alone will not cure"
                                + " that; with a new balance staff it comes to the estimate below. Shall I go on?",
                        LocalDate.ofInstant(today.plus(Duration.ofDays(11)), ZoneId.systemDefault()),
                        new Estimate(4, 6, 60, 45)));
        int number = workshop.keep(LADYS, came, story.steps());
        DemoReadings.keepSound(recordings, number, p8, WORN, "as received, dial up");
    }
}
