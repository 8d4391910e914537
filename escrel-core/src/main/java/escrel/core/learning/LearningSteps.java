package escrel.core.learning;

import escrel.core.calibre.Trait;
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
                            "part-described",
                            PartDescribed.class,
                            PartDescribed::part,
                            (s, n) -> n.part(s.part()) + " " + s.trait().words() + described(s, n))
                    .in(StepKind.STRIP),
            StepKind.of(
                            "figure",
                            FigureSaid.class,
                            (s, n) -> s.figure() == FigureSaid.Figure.SETTING
                                    ? s.value().equals("SHOCK") ? "the balance has shock settings" : "no shock settings"
                                    : s.figure().words() + ": " + s.value())
                    .in(StepKind.STRIP),
            StepKind.of(
                            "oil-point",
                            OilPointSaid.class,
                            OilPointSaid::part,
                            (s, n) -> "oil point on " + n.part(s.part()) + ": " + s.name())
                    .in(StepKind.CLIMB),
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
                            (s, n) -> s.rows().stream()
                                            .mapToInt(ScrewsStated.Row::count)
                                            .sum()
                                    + " screws of " + n.part(s.part()))
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

    private static String described(PartDescribed step, StepKind.Names names) {
        if (step.words().isEmpty()) {
            return ": taken back";
        }
        return step.trait().isHazard()
                ? ""
                : ": " + (step.trait() == Trait.STAYS_WITH ? names.part(step.words()) : step.words());
    }
}
