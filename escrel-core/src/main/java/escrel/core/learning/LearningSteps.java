package escrel.core.learning;

import escrel.core.service.StepKind;
import java.util.List;

/** The kinds of step from which a sheet is learnt. */
public final class LearningSteps {
    /** All of them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of("part-named", PartNamed.class, PartNamed::code, (s, n) -> "name " + s.name())
                    .in(StepKind.STRIP),
            StepKind.of("part-renamed", PartRenamed.class, PartRenamed::part, (s, n) -> "renamed to " + s.name())
                    .in(StepKind.STRIP),
            StepKind.of(
                            "hold",
                            HoldStated.class,
                            HoldStated::part,
                            (s, n) -> n.part(s.part()) + " held by " + n.part(s.by()))
                    .in(StepKind.STRIP),
            StepKind.of(
                            "screws",
                            ScrewsStated.class,
                            ScrewsStated::part,
                            (s, n) -> s.count() + " screws of " + n.part(s.part()))
                    .in(StepKind.STRIP),
            StepKind.of(
                            "together",
                            CameTogether.class,
                            CameTogether::part,
                            (s, n) -> n.part(s.part())
                                    + (s.unit().isEmpty()
                                            ? " is no part of a unit"
                                            : " came away with " + n.part(s.unit())))
                    .in(StepKind.STRIP),
            StepKind.of("pinned", Pinned.class, Pinned::part, (s, n) -> n.part(s.part()) + " pinned")
                    .in(StepKind.STRIP),
            StepKind.of("side-photo", SidePhotographed.class, (s, n) -> "photo " + s.photo() + " as plan of a side")
                    .in(StepKind.STRIP));

    private LearningSteps() {}
}
