package escrel.core.lume;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about luminous paint. */
public final class LumeSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of("lume-seen", LumeSeen.class, (s, n) -> s.words()).in(StepKind.ARRIVAL),
            StepKind.of(
                            "lume-counted",
                            LumeCounted.class,
                            (s, n) -> s.item().words() + " counted" + (s.simulated() ? " (simulated)" : ""))
                    .in(StepKind.ARRIVAL),
            StepKind.of("lume-point", LumePoint.class, (s, n) -> s.point().words() + (s.done() ? "" : ": not so"))
                    .in(StepKind.ARRIVAL));

    private LumeSteps() {}
}
