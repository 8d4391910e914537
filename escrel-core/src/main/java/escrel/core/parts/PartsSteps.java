package escrel.core.parts;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about findings, decisions, copies, searches and measures. */
public final class PartsSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of("finding", FindingRaised.class, FindingRaised::part, PartsSteps::finding)
                    .in(StepKind.INSPECT, StepKind.STRIP, StepKind.CLIMB, StepKind.WASH),
            StepKind.of("decision", Decided.class, (s, n) -> "decision " + StepKind.said(s.decision()))
                    .in(StepKind.INSPECT),
            StepKind.of(
                            "cause",
                            CauseSaid.class,
                            (s, n) -> s.cause().isEmpty()
                                    ? "finding of step " + s.finding() + " came of nothing else"
                                    : "finding of step " + s.finding() + " came of that of step " + s.cause())
                    .in(StepKind.INSPECT),
            StepKind.of("worked", FindingWorked.class, (s, n) -> "carried out: " + StepKind.said(s.outcome()))
                    .in(StepKind.INSPECT),
            StepKind.of(
                            "copy",
                            CopyAtHand.class,
                            CopyAtHand::part,
                            (s, n) -> "another " + n.part(s.part()) + " at hand, "
                                    + s.origin().words())
                    .in(StepKind.INSPECT, StepKind.CLIMB, StepKind.HANDOVER),
            StepKind.of(
                            "old-part",
                            OldPart.class,
                            OldPart::part,
                            (s, n) -> "old " + n.part(s.part()) + " " + s.fate().words())
                    .in(StepKind.INSPECT, StepKind.CLIMB, StepKind.HANDOVER),
            StepKind.about(
                            "looked",
                            Looked.class,
                            Looked::parts,
                            (s, n) -> s.parts().size() == 1
                                    ? "clean " + n.part(s.parts().get(0)) + " looked at"
                                    : s.parts().size() + " clean parts looked at")
                    .in(StepKind.INSPECT, StepKind.WASH),
            StepKind.about(
                            "judged",
                            Judged.class,
                            Judged::parts,
                            (s, n) -> (s.parts().size() == 1
                                            ? n.part(s.parts().get(0))
                                            : s.parts().size() + " parts")
                                    + " judged: " + s.grade().mark() + ", " + StepKind.said(s.grade()))
                    .in(StepKind.INSPECT),
            StepKind.of(
                            "felt",
                            Felt.class,
                            Felt::part,
                            (s, n) -> n.part(s.part()) + " " + StepKind.said(s.what()) + " by feel: "
                                    + s.feel().words())
                    .in(StepKind.INSPECT, StepKind.STRIP, StepKind.CLIMB, StepKind.WASH),
            StepKind.of(
                            "suspected",
                            Suspected.class,
                            Suspected::part,
                            (s, n) -> "suspected" + (s.part() == null ? "" : " on " + n.part(s.part())) + ": "
                                    + s.words())
                    .in(StepKind.INSPECT, StepKind.STRIP, StepKind.CLIMB, StepKind.WASH),
            StepKind.of(
                            "suspicion-settled",
                            SuspicionSettled.class,
                            (s, n) -> "suspicion of step " + s.suspicion() + " " + StepKind.said(s.outcome())
                                    + (s.words().isEmpty() ? "" : ": " + s.words()))
                    .in(StepKind.INSPECT, StepKind.STRIP, StepKind.CLIMB, StepKind.WASH),
            StepKind.of("fragment", FragmentFound.class, (s, n) -> "fragment found: " + s.words())
                    .in(StepKind.STRIP, StepKind.CLIMB, StepKind.INSPECT, StepKind.WASH),
            StepKind.of("fragment-explained", FragmentExplained.class, (s, n) -> "fragment explained: " + s.words())
                    .in(StepKind.CLIMB, StepKind.HANDOVER),
            StepKind.of(
                            "gauged",
                            Gauged.class,
                            Gauged::part,
                            (s, n) -> n.part(s.part()) + " " + StepKind.said(s.what()) + " " + s.millimetres() + " mm")
                    .in(StepKind.INSPECT, StepKind.STRIP, StepKind.CLIMB));

    private PartsSteps() {}

    private static String finding(FindingRaised raised, StepKind.Names names) {
        String on = raised.part() == null ? "finding" : "finding on " + names.part(raised.part());
        return raised.what().isBlank() ? on : on + ": " + raised.what();
    }
}
