package escrel.core.parts;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about findings, decisions, copies, searches and measures. */
public final class PartsSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of("finding", FindingRaised.class, FindingRaised::part, (s, n) -> "finding “" + s.words() + "”"),
            StepKind.of("decision", Decided.class, (s, n) -> "decision " + StepKind.said(s.decision())),
            StepKind.of("worked", FindingWorked.class, (s, n) -> "carried out: " + StepKind.said(s.outcome())),
            StepKind.of(
                    "copy",
                    CopyAtHand.class,
                    CopyAtHand::part,
                    (s, n) -> "another " + n.part(s.part()) + " at hand, "
                            + s.origin().words()),
            StepKind.of(
                    "old-part",
                    OldPart.class,
                    OldPart::part,
                    (s, n) -> "old " + n.part(s.part()) + " " + s.fate().words()),
            new StepKind<>(
                    "looked", Looked.class, (s, n) -> s.parts().size() + " clean parts looked at", Looked::parts),
            StepKind.of("fragment", FragmentFound.class, (s, n) -> "fragment found: " + s.words()),
            StepKind.of("fragment-explained", FragmentExplained.class, (s, n) -> "fragment explained: " + s.words()),
            StepKind.of(
                    "gauged",
                    Gauged.class,
                    Gauged::part,
                    (s, n) -> n.part(s.part()) + " " + StepKind.said(s.what()) + " " + s.millimetres() + " mm"));

    private PartsSteps() {}
}
