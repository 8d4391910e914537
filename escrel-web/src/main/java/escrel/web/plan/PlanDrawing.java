package escrel.web.plan;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Jewel;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Shape;
import escrel.core.calibre.Side;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * One side of a movement as drawn. Every movement is drawn to the same size, so that lines are as fine on a small one.
 *
 * @param radius of the plate as drawn; {@link #DRAWN_RADIUS} for all
 * @param shapes from the bottom up
 * @param labels names at pins, for a photograph
 */
public record PlanDrawing(
        Side side,
        double radius,
        List<Drawn> shapes,
        List<Screw> screws,
        List<Point> jewels,
        List<Point> flags,
        List<Label> labels) {
    /**
     * A part as drawn.
     *
     * @param style classes for its look: kind and state
     * @param path SVG path data
     * @param detail finer lines on it, may be empty
     */
    public record Drawn(String code, String name, String style, String path, String detail) {}

    /**
     * A screw, or its empty hole.
     *
     * @param style classes
     * @param x mm
     * @param y mm, downwards
     * @param radius of the head
     * @param turn of the slot, degrees
     * @param left whether it undoes clockwise
     */
    public record Screw(String style, double x, double y, double radius, int turn, boolean left) {}

    /**
     * A name beside its mark.
     *
     * @param anchor the end of the words that stands at the place
     */
    public record Label(double x, double y, String anchor, String name) {}

    /** A place. */
    public record Point(double x, double y, String style) {}

    /**
     * What the drawing shows of the job.
     *
     * @param gone whether a part is off
     * @param free parts that may be worked on now
     * @param selected the part on the card, or nothing
     * @param flagged parts with a finding that waits
     */
    public record State(
            Predicate<String> gone,
            Set<String> free,
            @Nullable String selected,
            Set<String> flagged) {}

    /** Radius of the plate in the units of the drawing, whatever it is in millimetres. */
    public static final double DRAWN_RADIUS = 12;

    private static final Set<Group> NOT_IN_THE_MOVEMENT = Set.of(Group.CASE);

    /** Draws one side. */
    public static PlanDrawing of(CalibreSheet given, Side side, State state) {
        CalibreSheet sheet = toSize(given);
        List<Drawn> shapes = new ArrayList<>();
        List<Screw> screws = new ArrayList<>();
        List<Point> flags = new ArrayList<>();
        List<Part> parts = sheet.parts();
        String stem = sheet.withRole(Role.STEM).map(Part::code).orElse("");
        boolean dialOn = side == Side.DIAL
                && sheet.withRole(Role.DIAL)
                        .filter(d -> !state.gone().test(d.code()))
                        .isPresent();
        // parts that come off last lie deepest
        for (int i = parts.size() - 1; i >= 0; i--) {
            Part part = parts.get(i);
            Shape shape = part.shape();
            if (shape != null && shownOn(sheet, part, side)) {
                boolean gone = state.gone().test(part.code())
                        || part.unit() != null && state.gone().test(part.unit());
                if (!gone || part.group() != Group.DIAL_AND_HANDS) {
                    shapes.add(draw(part, shape, side, styleOf(part, shape, gone, state), gone));
                }
                if (state.flagged().contains(part.code())) {
                    flags.add(flag(shape, side));
                }
            }
            boolean hidden = dialOn && part.group() != Group.DIAL_AND_HANDS;
            if (part.side() == side && !hidden && !NOT_IN_THE_MOVEMENT.contains(part.group())) {
                sheet.screwsOf(part.code()).forEach(s -> screws.add(screw(s, side, state, factor(sheet))));
            }
        }
        double factor = factor(sheet);
        List<Point> jewels = sheet.jewels().stream()
                .filter(j ->
                        !dialOn && j.side() == side && j.kind() != Jewel.Kind.PALLET && j.kind() != Jewel.Kind.IMPULSE)
                .map(j -> new Point(
                        flip(j.x() * factor, side), -j.y() * factor, j.kind() == Jewel.Kind.CAP ? "cap" : "hole"))
                .toList();
        // the stem runs in the plate, below everything
        shapes.sort(Comparator.comparing(s -> !s.code().equals(stem)));
        return new PlanDrawing(
                side, DRAWN_RADIUS, List.copyOf(shapes), List.copyOf(screws), jewels, flags, labels(sheet, side));
    }

    private static double factor(CalibreSheet sheet) {
        return 2 * DRAWN_RADIUS / sheet.data().diameterMillimetres();
    }

    private static CalibreSheet toSize(CalibreSheet sheet) {
        double factor = factor(sheet);
        List<Part> parts = sheet.parts().stream()
                .map(p -> p.shape() == null ? p : p.withShape(p.shape().times(factor)))
                .toList();
        List<ScrewPlace> screws = sheet.screws().stream()
                .map(s -> s.at(s.x() * factor, s.y() * factor))
                .toList();
        return sheet.with(parts, screws, sheet.holds());
    }

    private static List<Label> labels(CalibreSheet sheet, Side side) {
        return sheet.parts().stream()
                .filter(p -> p.shape() != null && p.shape().kind() == Shape.Kind.PIN && shownOn(sheet, p, side))
                .map(p -> label(flip(p.shape().x(), side), -p.shape().y(), p.name()))
                .toList();
    }

    /** A name at the end of its mark's leader, so that it does not cover what it names. */
    private static Label label(double x, double y, String name) {
        double way = Paths.leaderWay(x);
        double across = Paths.LEADER_ACROSS * PartLines.MARK + 0.12;
        return new Label(
                x + way * across, y - Paths.LEADER_UP * PartLines.MARK + 0.12, way < 0 ? "end" : "start", name);
    }

    private static boolean shownOn(CalibreSheet sheet, Part part, Side side) {
        if (part.side() == side) {
            return part.group() != Group.CASE || part.role() == Role.STEM;
        }
        // a unit's inner parts are drawn where the unit sits; the stem shows on both sides
        return part.role() == Role.STEM
                || part.unit() != null && sheet.requirePart(part.unit()).side() == side;
    }

    private static String styleOf(Part part, Shape shape, boolean gone, State state) {
        String style = "p-" + shape.kind().name().toLowerCase().replace('_', '-');
        if (part.group() == Group.DIAL_AND_HANDS) {
            style += part.role() == Role.DIAL ? " p-dial" : " p-hand";
        }
        if (part.has(Hazard.ECCENTRIC)) {
            style += " p-eccentric";
        }
        if (gone) {
            style += " s-gone";
        } else if (state.free().contains(part.code())) {
            style += " s-free";
        }
        return part.code().equals(state.selected()) ? style + " s-selected" : style;
    }

    private static Drawn draw(Part part, Shape shape, Side side, String style, boolean gone) {
        // a ghost is only a reminder of the place
        boolean ghost = gone && shape.isRound() && shape.kind() != Shape.Kind.PIN;
        PartLines lines = PartLines.of(shape, side, ghost, part.has(Hazard.ECCENTRIC), part.has(Hazard.FLIES));
        return new Drawn(part.code(), part.name(), style, lines.path(), lines.detail());
    }

    /** A part by itself, as it looks when it is neither chosen nor gone. */
    static Drawn alone(Part part, Shape shape, Side side) {
        State plain = new State(c -> false, Set.of(), null, Set.of());
        return draw(part, shape, side, styleOf(part, shape, false, plain), false);
    }

    /** Whether a part lies over the movement, as dial and hands do: drawn, it would hide what is under it. */
    public static boolean isOver(CalibreSheet sheet, String code) {
        return sheet.part(code).filter(p -> p.group() == Group.DIAL_AND_HANDS).isPresent();
    }

    static double flip(double x, Side side) {
        return side == Side.TRAIN ? -x : x;
    }

    private static Screw screw(ScrewPlace place, Side side, State state, double factor) {
        boolean gone = state.gone().test(place.part());
        boolean left = place.thread() == ScrewPlace.Thread.LEFT;
        double head = Math.max(0.22, 0.42 * place.bladeMillimetres() * factor);
        String style = (gone ? "s-gone" : "")
                + (left ? " left" : "")
                + (place.part().equals(state.selected()) ? " s-selected" : "");
        // every slot stands as it was left; a fixed scatter by name keeps the picture calm
        return new Screw(
                style.trim(),
                flip(place.x(), side),
                -place.y(),
                head,
                Math.floorMod(place.code().hashCode(), 180),
                left && !gone);
    }

    private static Point flag(Shape shape, Side side) {
        if (shape.isRound()) {
            return new Point(flip(shape.x(), side) + 0.4 * shape.radius(), -shape.y() - 0.4 * shape.radius(), "");
        }
        double[] p = shape.points().get(0);
        return new Point(flip(p[0], side), -p[1], "");
    }

    /** Where a part lies on a side, in the units of the drawing; nothing where it is not drawn there. */
    public static Optional<Point> placeOf(CalibreSheet sheet, String code, Side side) {
        Part part = sheet.part(code).orElse(null);
        Shape shape = part == null ? null : part.shape();
        if (part == null || shape == null || !shownOn(sheet, part, side)) {
            return Optional.empty();
        }
        double[] at = shape.times(factor(sheet)).middle();
        return Optional.of(new Point(flip(at[0], side), -at[1], ""));
    }

    /** The shapes, jewels, screws and flags as SVG; names in it are escaped. */
    public String markup() {
        return PlanMarkup.of(this);
    }

    /** What the page asks of the screen: left, top, width and height in mm. */
    public String viewBox() {
        double reach = radius * 1.12;
        return "%s %s %s %s".formatted(Paths.n(-reach), Paths.n(-reach), Paths.n(2 * reach), Paths.n(2 * reach));
    }
}
