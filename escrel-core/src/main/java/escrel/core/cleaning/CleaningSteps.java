package escrel.core.cleaning;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about cleaning. */
public final class CleaningSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.about(
                            "washed",
                            Washed.class,
                            Washed::parts,
                            (s, n) -> s.parts().size() + (s.parts().size() == 1 ? " part washed" : " parts washed"))
                    .in(StepKind.WASH),
            StepKind.about(
                            "epilame",
                            EpilameApplied.class,
                            EpilameApplied::parts,
                            (s, n) -> s.parts().size() + (s.parts().size() == 1 ? " part" : " parts")
                                    + " treated with epilame")
                    .in(StepKind.WASH));

    private CleaningSteps() {}
}
