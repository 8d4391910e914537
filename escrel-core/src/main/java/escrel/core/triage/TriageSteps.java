package escrel.core.triage;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about the first checks. */
public final class TriageSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of(
                            "reset-tried",
                            ResetTried.class,
                            (s, n) -> "reset while running: " + s.did().words())
                    .in(StepKind.ARRIVAL),
            StepKind.of(
                            "checked",
                            Checked.class,
                            (s, n) -> s.check().words() + ": " + s.outcome().words()
                                    + (s.words().isEmpty() ? "" : ", " + s.words()))
                    .in(StepKind.ARRIVAL));

    private TriageSteps() {}
}
