package escrel.web.demo;

import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.FindingWorked;
import escrel.core.parts.Suspected;
import escrel.core.parts.SuspicionSettled;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Stance;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.DidNotRun;
import escrel.core.timing.readings.ReadingState;
import escrel.web.job.Workshop;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;

/**
 * The day-date: clean, looked at twice, a hairline in the exit stone and a scored fourth pivot found on the second look; a
 * donor's fork is here, and the climb is about to begin.
 */
final class AboutToClimb {
    private static final int DAY_DATE = 7;

    private final Workshop workshop;
    private final Instant today;

    AboutToClimb(Workshop workshop, Instant today) {
        this.workshop = workshop;
        this.today = today;
    }

    void tell(CalibreSheet cv28) {
        Instant opened = today.minus(Duration.ofDays(6));
        Story story = new Story(cv28, opened, DAY_DATE)
                .then(new Arrival(
                        "Skarholt day-date",
                        "Quartermaster, ferry Gannet",
                        "at the ferry office",
                        "Skarholt",
                        "D-77",
                        "Stopped on the quay and starts for a minute when it is shaken.",
                        Stance.SYMPATHETIC,
                        "Turning ring loose, crystal clear, bracelet of the maker.",
                        "Movement 40218."))
                .then(WorkAgreed.today(WorkAgreed.Work.SERVICE, ""))
                .then(new CalibreBound("cv-28", 1))
                .in(DemoCases.called("skarholt-d-77"))
                .then(new DidNotRun(ReadingState.AS_RECEIVED, "starts when shaken, stops within a minute"))
                .then(new Suspected("pallet-fork", "a stone may be loose or chipped"))
                .later(Duration.ofDays(1));
        story.strip(Map.of(
                "pallet-fork",
                new PartOff(
                        "pallet-fork",
                        Grade.NOT_JUDGED,
                        ScrewsFound.AS_ON_SHEET,
                        PartOff.Plan.KEEP,
                        "gummed all over",
                        ""),
                "train-bridge",
                new PartOff(
                        "train-bridge",
                        Grade.GOOD,
                        ScrewsFound.of(ScrewsFound.State.BURRED, 1),
                        PartOff.Plan.KEEP,
                        "",
                        "")));
        story.later(Duration.ofDays(1)).wash();
        story.then(new FindingRaised(
                "pallet-fork",
                Grade.BROKEN,
                Defect.CRACKED,
                Origin.ACCIDENT,
                "hairline in the exit stone, seen clean"));
        String fork = story.lastKey();
        story.then(new SuspicionSettled(6, SuspicionSettled.Outcome.CONFIRMED, "a hairline in the exit stone"))
                .then(new FindingRaised(
                        "fourth-wheel",
                        Grade.MEND,
                        Defect.SCORED,
                        Origin.WEAR,
                        "scored, seen clean",
                        new Place(Place.Kind.PIVOT, "upper")));
        String pivot = story.lastKey();
        story.then(new Decided(fork, Decision.REPLACE_DONOR, "", "a CV-28 with a broken plate"))
                .then(new Decided(pivot, Decision.ADJUST, "burnished in the jewelled runner", ""))
                .then(new FindingWorked(pivot, FindingWorked.Outcome.DONE, "burnished; bright and straight"))
                .then(new CopyAtHand(
                        "pallet-fork",
                        CopyAtHand.Origin.DONOR,
                        DemoStores.CV_28.name(),
                        "",
                        DemoStores.CV_28.asSource("pallet-fork")))
                .wash();
        workshop.keep(DAY_DATE, opened, story.steps());
    }
}
