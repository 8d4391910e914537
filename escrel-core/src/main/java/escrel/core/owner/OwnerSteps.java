package escrel.core.owner;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about questions to the owner. */
public final class OwnerSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of(
                            "claim",
                            ClaimSaid.class,
                            (s, n) -> s.words().isEmpty()
                                    ? "nothing was claimed to have been done before"
                                    : "said to have been done before: " + s.words())
                    .in(StepKind.ARRIVAL),
            StepKind.of("owner-asked", OwnerAsked.class, (s, n) -> "owner asked: " + s.question())
                    .in(StepKind.ARRIVAL),
            StepKind.of(
                            "owner-answered",
                            OwnerAnswered.class,
                            (s, n) -> "owner " + s.answer().words() + (s.words().isEmpty() ? "" : ": " + s.words()))
                    .in(StepKind.ARRIVAL));

    private OwnerSteps() {}
}
