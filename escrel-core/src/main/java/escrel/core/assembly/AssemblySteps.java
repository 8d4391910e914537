package escrel.core.assembly;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step of the way up. */
public final class AssemblySteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS =
            List.of(StepKind.of("test", TestMade.class, (s, n) -> "test " + n.test(s.test()))
                    .in(StepKind.CLIMB));

    private AssemblySteps() {}
}
