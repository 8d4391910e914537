package escrel.core.service;

import java.util.List;

/** The kinds of step by which a job is kept and a movement opened and closed. */
public final class ServiceSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of("arrival", Arrival.class, (s, n) -> "arrival of " + s.watch()),
            StepKind.of("calibre-bound", CalibreBound.class, (s, n) -> "bound to the sheet " + s.calibre()),
            StepKind.of(
                            "work",
                            WorkAgreed.class,
                            (s, n) -> "agreed: " + s.work().words())
                    .in(StepKind.ARRIVAL),
            StepKind.of("photo", PhotoAdded.class, PhotoAdded::part, (s, n) -> "photo " + s.photo())
                    .in(StepKind.ARRIVAL, StepKind.STRIP, StepKind.CLIMB),
            StepKind.of(
                            "photo-pair",
                            PhotosPaired.class,
                            (s, n) -> "photos " + s.before() + " and " + s.after() + " as a pair")
                    .in(StepKind.STRIP),
            StepKind.of(
                            "photo-marked",
                            PhotoMarked.class,
                            (s, n) -> s.arrows().isEmpty()
                                    ? "no arrows on photo " + s.photo()
                                    : s.arrows().size() + (s.arrows().size() == 1 ? " arrow" : " arrows") + " on photo "
                                            + s.photo())
                    .in(StepKind.STRIP),
            StepKind.of("note", Noted.class, Noted::part, (s, n) -> "observed: " + s.words())
                    .in(StepKind.ARRIVAL, StepKind.STRIP, StepKind.CLIMB, StepKind.INSPECT, StepKind.WASH),
            StepKind.of("corrected", Corrected.class, (s, n) -> "correction of step " + s.sequence())
                    .in(StepKind.STRIP),
            StepKind.of("taken-back", TakenBack.class, (s, n) -> "step " + s.sequence() + " taken back"),
            StepKind.of(
                            "school",
                            SchoolChosen.class,
                            (s, n) -> "habit: " + s.choice().words())
                    .in(StepKind.ARRIVAL, StepKind.STRIP, StepKind.CLIMB),
            StepKind.of(
                            "school-aside",
                            SchoolSetAside.class,
                            (s, n) -> "for this job another way: " + s.school().question())
                    .in(StepKind.ARRIVAL, StepKind.STRIP, StepKind.CLIMB),
            StepKind.of("opened-again", OpenedAgain.class, OpenedAgain::target, (s, n) -> opened(s, n))
                    .in(StepKind.STRIP, StepKind.CLIMB),
            StepKind.of(
                            "way-in",
                            WayInPlanned.class,
                            WayInPlanned::target,
                            (s, n) -> s.target().isEmpty()
                                    ? "the whole movement again"
                                    : "way in to " + n.part(s.target()))
                    .in(StepKind.STRIP),
            StepKind.of(
                            "part-off",
                            PartOff.class,
                            PartOff::part,
                            (s, n) -> n.part(s.part())
                                    + (s.letDown() == null ? " off" : ": " + StepKind.said(s.letDown())))
                    .in(StepKind.STRIP),
            StepKind.of("part-on", PartOn.class, PartOn::part, (s, n) -> n.part(s.part()) + " on")
                    .in(StepKind.CLIMB),
            StepKind.of(
                            "visit",
                            Visit.class,
                            Visit::part,
                            (s, n) ->
                                    n.part(s.part()) + (s.act() == Visit.Act.BEGIN ? " in for a visit" : " out again"))
                    .in(StepKind.STRIP, StepKind.CLIMB),
            StepKind.about(
                            "left-fitted",
                            LeftFitted.class,
                            LeftFitted::parts,
                            (s, n) -> n.part(s.parts().get(0)) + " left fitted")
                    .in(StepKind.STRIP),
            StepKind.of("left-out", LeftOut.class, LeftOut::part, (s, n) -> n.part(s.part()) + " left out")
                    .in(StepKind.STRIP, StepKind.CLIMB),
            StepKind.of(
                            "eased",
                            Eased.class,
                            Eased::part,
                            (s, n) -> n.part(s.part()) + " " + StepKind.said(s.way())
                                    + (s.turns() > 0 ? " by " + s.turns() + " turns" : ""))
                    .in(StepKind.STRIP),
            StepKind.of("tightened", Tightened.class, Tightened::part, (s, n) -> n.part(s.part()) + " screwed tight")
                    .in(StepKind.CLIMB),
            StepKind.of(
                            "screws-to-come",
                            ScrewsToCome.class,
                            ScrewsToCome::part,
                            (s, n) -> n.part(s.part()) + ": " + s.count() + (s.count() == 1 ? " screw" : " screws")
                                    + " still to come")
                    .in(StepKind.STRIP, StepKind.CLIMB),
            StepKind.of("state-set", StateSet.class, StateSet::part, (s, n) -> "set: " + s.state())
                    .in(StepKind.STRIP, StepKind.CLIMB),
            StepKind.of(
                            "happened",
                            Happened.class,
                            Happened::part,
                            (s, n) -> n.part(s.part()) + " " + StepKind.said(s.what()))
                    .in(StepKind.STRIP, StepKind.CLIMB, StepKind.INSPECT, StepKind.WASH),
            StepKind.of(
                            "power",
                            PowerNoted.class,
                            PowerNoted::part,
                            (s, n) -> s.what().words() + (s.part().isEmpty() ? "" : ", at " + n.part(s.part())))
                    .in(StepKind.STRIP, StepKind.CLIMB));

    private ServiceSteps() {}

    private static String opened(OpenedAgain step, StepKind.Names names) {
        return "opened again, " + step.reason().words()
                + (step.target().isEmpty() ? "" : ": way in to " + names.part(step.target()));
    }
}
