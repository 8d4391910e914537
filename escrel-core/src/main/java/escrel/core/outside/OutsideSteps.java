package escrel.core.outside;

import escrel.core.service.StepKind;
import java.util.List;
import java.util.stream.Collectors;

/** The kinds of step about parcel and outside. */
public final class OutsideSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of("parcel-came", ParcelCame.class, (s, n) -> "in the parcel: " + s.said())
                    .in(StepKind.ARRIVAL),
            StepKind.of("outside-seen", OutsideSeen.class, (s, n) -> OutsideSteps.seen(s))
                    .in(StepKind.ARRIVAL));

    private OutsideSteps() {}

    private static String seen(OutsideSeen s) {
        String pieces = s.pieces().stream().map(OutsidePiece::words).collect(Collectors.joining(", "));
        return s.grade() == null
                ? "no " + pieces + " on this watch"
                : pieces + ": " + s.grade().mark() + ", " + StepKind.said(s.grade());
    }
}
