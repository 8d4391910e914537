package escrel.core.marks;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about marks. */
public final class MarkSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(StepKind.of(
                    "mark",
                    MarkSeen.class,
                    MarkSeen::part,
                    (s, n) -> s.kind().words() + " “" + s.text() + "” on " + s.where(n::part))
            .in(StepKind.ARRIVAL, StepKind.STRIP, StepKind.INSPECT, StepKind.CLIMB, StepKind.WASH));

    private MarkSteps() {}
}
