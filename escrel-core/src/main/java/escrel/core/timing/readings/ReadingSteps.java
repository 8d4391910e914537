package escrel.core.timing.readings;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step about readings and what lies between them. */
public final class ReadingSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of(
                            "reading",
                            ReadingTaken.class,
                            (s, n) -> "reading " + s.reading().position().words())
                    .in(StepKind.READINGS),
            StepKind.of("did-not-run", DidNotRun.class, (s, n) -> "does not run: " + s.words())
                    .in(StepKind.READINGS),
            StepKind.of(
                            "compass",
                            CompassTried.class,
                            (s, n) -> s.follows().isMagnetised()
                                    ? "compass: the needle follows"
                                    : "compass: the needle does not follow")
                    .in(StepKind.READINGS),
            StepKind.of("demagnetised", Demagnetised.class, (s, n) -> "demagnetised")
                    .in(StepKind.READINGS, StepKind.CLIMB),
            StepKind.of("intervened", Intervened.class, (s, n) -> s.what().words())
                    .in(StepKind.READINGS),
            StepKind.of("stopped-after", StoppedAfter.class, (s, n) -> "ran %.1f h from full wind".formatted(s.hours()))
                    .in(StepKind.READINGS));

    private ReadingSteps() {}
}
