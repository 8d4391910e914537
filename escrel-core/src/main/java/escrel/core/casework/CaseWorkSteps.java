package escrel.core.casework;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about case work, water and the parcel back. */
public final class CaseWorkSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of("case-worked", CaseWorked.class, (s, n) -> s.said()).in(StepKind.HANDOVER),
            StepKind.of("layered", Layered.class, (s, n) -> "plating: " + s.said())
                    .in(StepKind.HANDOVER),
            StepKind.of("water-tested", WaterTested.class, (s, n) -> s.said()).in(StepKind.HANDOVER),
            StepKind.of("parcel-sent", ParcelSent.class, (s, n) -> s.said()).in(StepKind.HANDOVER));

    private CaseWorkSteps() {}
}
