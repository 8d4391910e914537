package escrel.web.climb;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Shape;
import escrel.core.calibre.Side;
import escrel.core.job.Job;
import escrel.core.learning.DraftChart;
import escrel.core.lubrication.BottleKept;
import escrel.core.lubrication.Bottles;
import escrel.core.lubrication.LubricationState;
import escrel.core.lubrication.Oiled;
import escrel.core.service.StepKind;
import escrel.web.job.OpenJob;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The lubrication points of a movement drawn where they are, each by the shape and letter of its class.
 *
 * @param plans train side and dial side, with their points
 * @param classes with points, in the order of the classes
 * @param of the class that is shown by itself; nothing for all
 * @param points of that class, or all, in the order in which they come on the way up
 * @param at the point at hand; nothing where none is open
 * @param before code of the point before it
 * @param after code of the one after it
 * @param drafted points that no sheet has, from what the parts are
 */
record OilChart(
        List<OilMarks.Plan> plans,
        List<OfClass> classes,
        @Nullable LubricantClass of,
        List<Point> points,
        @Nullable Point at,
        @Nullable String before,
        @Nullable String after,
        List<DraftChart.Drafted> drafted) {
    /** How a point stands. */
    enum State {
        /** It can be reached now. */
        NOW,
        /** It is due, and its moment has not come. */
        LATER,
        DONE,
        SKIPPED,
        /** Its part was not off: it is not due. */
        NOT_DUE,
        /** On no sheet: what it may be, from what its part is. */
        DRAFT
    }

    /**
     * A point as listed.
     *
     * @param line that would be done next of it; nothing where it is not open
     * @param said what was done: the class where it was another than the sheet's, the bottle, or why it was left out
     */
    record Point(OilPoint point, State state, AssemblyPlan.@Nullable Line line, String said) {
        /** Whether something is still to be done. */
        public boolean isOpen() {
            return state == State.NOW || state == State.LATER;
        }
    }

    /**
     * A class with what is to be done of it.
     *
     * @param bottle in use; nothing where none is kept
     * @param warning of the bottle; empty where it is good
     */
    record OfClass(
            LubricantClass lubricant,
            int open,
            int all,
            @Nullable BottleKept bottle,
            String warning) {}

    /** The class after this one that still wants something; after the last, the first again. */
    public LubricantClass nextClass() {
        int at = 0;
        for (int i = 0; i < classes.size(); i++) {
            at = classes.get(i).lubricant() == of ? i + 1 : at;
        }
        for (int i = 0; i < classes.size(); i++) {
            OfClass next = classes.get((at + i) % classes.size());
            if (next.open() > 0) {
                return next.lubricant();
            }
        }
        return classes.get(at % classes.size()).lubricant();
    }

    static OilChart of(
            OpenJob open, Bottles bottles, LocalDate today, @Nullable LubricantClass of, @Nullable String chosen) {
        Job job = open.job();
        CalibreSheet sheet = job.movement();
        List<Point> all = points(job, sheet);
        List<Point> shown = all.stream()
                .filter(p -> of == null || p.point().lubricant() == of)
                .toList();
        Point at = shown.stream()
                .filter(p -> p.point().code().equals(chosen))
                .findFirst()
                .or(() -> shown.stream().filter(p -> p.state() == State.NOW).findFirst())
                .or(() -> shown.stream().filter(Point::isOpen).findFirst())
                .orElse(null);
        int index = at == null ? -1 : shown.indexOf(at);
        List<DraftChart.Drafted> drafted = drafted(sheet);
        List<Point> drawn = new ArrayList<>(all);
        if (all.isEmpty()) {
            drafted.forEach(d -> drawn.addAll(asPoints(d)));
        }
        List<OilMarks.Plan> plans = new ArrayList<>();
        for (Side side : List.of(Side.TRAIN, Side.DIAL)) {
            plans.add(OilMarks.plan(sheet, side, drawn));
        }
        return new OilChart(
                plans,
                classes(all, bottles, today),
                of,
                shown,
                at,
                index > 0 ? shown.get(index - 1).point().code() : null,
                index >= 0 && index < shown.size() - 1
                        ? shown.get(index + 1).point().code()
                        : null,
                drafted);
    }

    /** What the parts ask for and the chart does not have. */
    static List<DraftChart.Drafted> drafted(CalibreSheet sheet) {
        Set<String> there = sheet.oilPoints().stream()
                .map(p -> p.part() + " " + p.lubricant())
                .collect(Collectors.toSet());
        return DraftChart.of(sheet).stream()
                .filter(d -> !there.contains(d.part().code() + " " + d.lubricant()))
                .toList();
    }

    private static List<Point> asPoints(DraftChart.Drafted drafted) {
        Shape shape = drafted.part().shape();
        if (shape == null) {
            return List.of();
        }
        double[] at = shape.middle();
        return List.of(new Point(
                new OilPoint(
                        "draft",
                        drafted.name(),
                        drafted.part().code(),
                        drafted.part().side(),
                        drafted.lubricant(),
                        drafted.amount(),
                        null,
                        null,
                        at[0],
                        at[1],
                        drafted.why()),
                State.DRAFT,
                null,
                ""));
    }

    private static List<Point> points(Job job, CalibreSheet sheet) {
        LubricationState state = job.lubrication();
        Set<String> due = state.due().stream().map(OilPoint::code).collect(Collectors.toSet());
        Set<String> now = new HashSet<>();
        job.wayUp().freeNow().stream()
                .filter(l -> l.kind() == AssemblyPlan.Kind.OIL)
                .forEach(l -> now.add(l.code()));
        List<Point> ordered = new ArrayList<>();
        for (AssemblyPlan.Line line : job.wayUp().lines()) {
            if (line.kind() == AssemblyPlan.Kind.OIL) {
                OilPoint point = sheet.oilPoint(line.code()).orElseThrow();
                ordered.add(new Point(point, now.contains(line.code()) ? State.NOW : State.LATER, line, ""));
            }
        }
        Set<String> open = ordered.stream().map(p -> p.point().code()).collect(Collectors.toSet());
        for (OilPoint point : sheet.oilPoints()) {
            if (!open.contains(point.code())) {
                ordered.add(settled(state, point, due.contains(point.code())));
            }
        }
        return ordered;
    }

    private static Point settled(LubricationState state, OilPoint point, boolean due) {
        if (!due) {
            return new Point(point, State.NOT_DUE, null, "");
        }
        return state.skipped(point.code())
                .map(s -> new Point(point, State.SKIPPED, null, "left out: " + s.reason()))
                .orElseGet(() -> new Point(
                        point,
                        State.DONE,
                        null,
                        state.oiled(point.code()).map(o -> said(point, o)).orElse("")));
    }

    private static String said(OilPoint point, Oiled oiled) {
        List<String> said = new ArrayList<>();
        if (oiled.lubricant() != point.lubricant()) {
            said.add(words(oiled.lubricant()) + " instead of " + words(point.lubricant()));
        }
        if (oiled.bottle() != null) {
            said.add("from " + oiled.bottle());
        }
        if (!oiled.note().isEmpty()) {
            said.add(oiled.note());
        }
        return String.join(", ", said);
    }

    private static String words(LubricantClass lubricant) {
        return StepKind.said(lubricant);
    }

    private static List<OfClass> classes(List<Point> all, Bottles bottles, LocalDate today) {
        Map<LubricantClass, List<Point>> by = new EnumMap<>(LubricantClass.class);
        all.forEach(p -> by.computeIfAbsent(p.point().lubricant(), k -> new ArrayList<>())
                .add(p));
        List<OfClass> classes = new ArrayList<>();
        by.forEach((lubricant, points) -> {
            BottleKept bottle = bottles.inUse(lubricant).orElse(null);
            classes.add(new OfClass(
                    lubricant,
                    (int) points.stream().filter(Point::isOpen).count(),
                    points.size(),
                    bottle,
                    bottle == null ? "" : Bottles.warning(bottle, today)));
        });
        return classes;
    }
}
