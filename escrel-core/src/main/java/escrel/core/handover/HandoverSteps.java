package escrel.core.handover;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step with which a job ends. */
public final class HandoverSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of("waived", Waived.class, (s, n) -> "account " + StepKind.said(s.account()) + " waived")
                    .in(StepKind.HANDOVER),
            StepKind.of("item-waived", ItemWaived.class, (s, n) -> "waived: " + s.item())
                    .in(StepKind.HANDOVER),
            StepKind.of("handed-over", HandedOver.class, (s, n) -> "handed over")
                    .in(StepKind.HANDOVER));

    private HandoverSteps() {}
}
