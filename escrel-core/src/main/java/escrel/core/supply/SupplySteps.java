package escrel.core.supply;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about what is ordered and sent out. */
public final class SupplySteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of("ordered", Ordered.class, Ordered::part, (s, n) -> SupplySteps.ordered(s))
                    .in(StepKind.INSPECT),
            StepKind.of(
                            "order-put-off",
                            PutOff.class,
                            (s, n) -> "order of step " + s.order() + " promised for "
                                    + (s.expected() == null ? "no day" : s.expected()))
                    .in(StepKind.INSPECT),
            StepKind.of(
                            "order-came",
                            Came.class,
                            (s, n) -> "order of step " + s.order() + " is here, "
                                    + s.judgement().words() + (s.words().isEmpty() ? "" : ": " + s.words()))
                    .in(StepKind.INSPECT),
            StepKind.of(
                            "order-called-off",
                            CalledOff.class,
                            (s, n) -> "order of step " + s.order() + " called off: " + s.reason())
                    .in(StepKind.INSPECT));

    private SupplySteps() {}

    private static String ordered(Ordered s) {
        String act = s.kind() == Ordered.Kind.PART ? " ordered of " : " sent to ";
        return s.what() + act + s.supplier() + (s.expected() == null ? "" : ", promised for " + s.expected());
    }
}
