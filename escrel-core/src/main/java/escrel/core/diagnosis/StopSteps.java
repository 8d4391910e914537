package escrel.core.diagnosis;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about a watch that does not run. */
public final class StopSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(StepKind.of(
                    "stop-answered",
                    StopAnswered.class,
                    (s, n) -> s.question().words() + " " + StepKind.said(s.answer())
                            + (s.words().isEmpty() ? "" : ", " + s.words()))
            .in(StepKind.READINGS));

    private StopSteps() {}
}
