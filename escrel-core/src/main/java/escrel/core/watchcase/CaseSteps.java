package escrel.core.watchcase;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about the case as a whole. */
public final class CaseSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of("case-bound", CaseBound.class, (s, n) -> "case: sheet " + s.sheet())
                    .in(StepKind.ARRIVAL),
            StepKind.of("case-said", CaseSaid.class, (s, n) -> s.words()).in(StepKind.ARRIVAL, StepKind.STRIP));

    private CaseSteps() {}
}
