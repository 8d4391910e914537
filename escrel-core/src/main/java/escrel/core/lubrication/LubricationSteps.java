package escrel.core.lubrication;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about lubrication. */
public final class LubricationSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of("oiled", Oiled.class, (s, n) -> "oil point " + n.point(s.point()))
                    .in(StepKind.CLIMB),
            StepKind.of("oil-skipped", OilSkipped.class, (s, n) -> "oil point " + n.point(s.point()) + " left out")
                    .in(StepKind.CLIMB));

    private LubricationSteps() {}
}
