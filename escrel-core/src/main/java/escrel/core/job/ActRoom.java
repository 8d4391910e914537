package escrel.core.job;

import escrel.core.assembly.TestMade;
import escrel.core.cleaning.Washed;
import escrel.core.handover.HandedOver;
import escrel.core.handover.ItemWaived;
import escrel.core.handover.Waived;
import escrel.core.learning.CameTogether;
import escrel.core.learning.HoldStated;
import escrel.core.learning.PartNamed;
import escrel.core.learning.PartRenamed;
import escrel.core.learning.Pinned;
import escrel.core.learning.ScrewsStated;
import escrel.core.learning.SidePhotographed;
import escrel.core.lubrication.OilSkipped;
import escrel.core.lubrication.Oiled;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decided;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.FindingWorked;
import escrel.core.parts.FragmentExplained;
import escrel.core.parts.FragmentFound;
import escrel.core.parts.Gauged;
import escrel.core.parts.Looked;
import escrel.core.parts.OldPart;
import escrel.core.service.Eased;
import escrel.core.service.Happened;
import escrel.core.service.LeftFitted;
import escrel.core.service.LeftOut;
import escrel.core.service.Noted;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.PhotoAdded;
import escrel.core.service.PowerNoted;
import escrel.core.service.SchoolChosen;
import escrel.core.service.SchoolSetAside;
import escrel.core.service.StateSet;
import escrel.core.service.Step;
import escrel.core.service.Tightened;
import escrel.core.service.Visit;
import escrel.core.service.WayInPlanned;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.CompassTried;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.DidNotRun;
import escrel.core.timing.readings.Intervened;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.StoppedAfter;
import java.util.Set;

/** A room in which acts are recorded and taken back. What is done in another room is taken back there. */
public enum ActRoom {
    ARRIVAL(
            "arrival",
            Set.of(WorkAgreed.class, Noted.class, PhotoAdded.class, SchoolChosen.class, SchoolSetAside.class)),
    READINGS(
            "readings",
            Set.of(
                    ReadingTaken.class,
                    DidNotRun.class,
                    CompassTried.class,
                    Demagnetised.class,
                    Intervened.class,
                    StoppedAfter.class)),
    STRIP(
            "strip",
            Set.of(
                    PartOff.class,
                    LeftFitted.class,
                    Eased.class,
                    WayInPlanned.class,
                    PartNamed.class,
                    PartRenamed.class,
                    HoldStated.class,
                    ScrewsStated.class,
                    CameTogether.class,
                    Pinned.class,
                    SidePhotographed.class)),
    INSPECT(
            "inspect",
            Set.of(
                    FindingRaised.class,
                    Decided.class,
                    FindingWorked.class,
                    Looked.class,
                    Gauged.class,
                    CopyAtHand.class,
                    OldPart.class)),
    WASH("wash", Set.of(Washed.class, Looked.class)),
    CLIMB(
            "climb",
            Set.of(
                    PartOn.class,
                    Tightened.class,
                    Oiled.class,
                    OilSkipped.class,
                    TestMade.class,
                    FragmentExplained.class,
                    OldPart.class,
                    CopyAtHand.class,
                    Demagnetised.class)),
    HANDOVER(
            "handover",
            Set.of(
                    Waived.class,
                    ItemWaived.class,
                    HandedOver.class,
                    FragmentExplained.class,
                    OldPart.class,
                    CopyAtHand.class));

    /** What happens at the bench on either way. */
    private static final Set<Class<? extends Step>> BOTH = Set.of(
            Visit.class,
            LeftOut.class,
            StateSet.class,
            Happened.class,
            PowerNoted.class,
            OpenedAgain.class,
            FindingRaised.class,
            FragmentFound.class,
            Gauged.class,
            Noted.class,
            PhotoAdded.class,
            SchoolChosen.class,
            SchoolSetAside.class);

    private final String path;
    private final Set<Class<? extends Step>> own;

    ActRoom(String path, Set<Class<? extends Step>> own) {
        this.path = path;
        this.own = own;
    }

    /** Last part of its address. */
    public String path() {
        return path;
    }

    /** Whether a step is one of this room's. */
    public boolean has(Step step) {
        boolean bench = this == STRIP || this == CLIMB;
        return own.contains(step.getClass()) || bench && BOTH.contains(step.getClass());
    }
}
