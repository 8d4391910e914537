package escrel.core.assembly;

import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.lubrication.LubricationState;
import escrel.core.parts.LeftOut;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.teardown.Constraint;
import escrel.core.teardown.Constraint.Weight;
import escrel.core.teardown.Sequencer;
import escrel.core.teardown.TeardownState;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The way up from the present state: every part that is off, every lubrication point due and every test, in an order in
 * which nothing is closed over. A part comes before what held it on the way down; early parts before what they must
 * precede; points and tests as soon as their window opens. Source: M15, ordering rule 10.
 */
public final class AssemblyPlan {
    /** What a line of the plan is. */
    public enum Kind {
        PART,
        OIL,
        TEST
    }

    /**
     * One line of the plan.
     *
     * @param code of the part, point or test
     * @param why why it stands there, in words; may be empty
     */
    public record Line(Kind kind, String code, String name, Side side, String why) {}

    private final CalibreSheet sheet;
    private final TeardownState teardown;
    private final Map<String, Line> open = new LinkedHashMap<>();
    private final List<Constraint> constraints = new ArrayList<>();
    private final Map<String, String> rightBefore = new LinkedHashMap<>();
    private final Sequencer.Sequence sequence;

    private final boolean trainOiledLast;

    private AssemblyPlan(TeardownState teardown, JobHistory history, Schools schools) {
        this.sheet = teardown.sheet();
        this.trainOiledLast = schools.has(Choice.TRAIN_AT_END);
        this.teardown = teardown;
        Set<String> leftOut = new HashSet<>();
        history.all(LeftOut.class).map(LeftOut::part).forEach(leftOut::add);
        parts(leftOut);
        points(LubricationState.of(teardown, history), leftOut);
        tests(history, leftOut);
        rules();
        this.sequence = Sequencer.order(items(), constraints, null);
    }

    /** The way up from here. */
    public static AssemblyPlan from(TeardownState teardown, JobHistory history) {
        return from(teardown, history, Schools.DEFAULT);
    }

    /** The way up from here, the train's jewels oiled as each bridge goes on or all at the end, as the schools have it. */
    public static AssemblyPlan from(TeardownState teardown, JobHistory history, Schools schools) {
        return new AssemblyPlan(teardown, history, schools);
    }

    private void parts(Set<String> leftOut) {
        sheet.homes().stream()
                .filter(p -> teardown.isOff(p.code()) && !leftOut.contains(p.code()))
                .forEach(p -> open.put(p.code(), new Line(Kind.PART, p.code(), p.name(), p.side(), whyPart(p))));
    }

    private String whyPart(Part part) {
        return sheet.earlyIns().stream()
                .filter(e -> e.part().equals(part.code()) && teardown.isOff(e.before()))
                .map(e -> "goes in before " + sheet.requirePart(e.before()).name() + ": " + e.why())
                .findFirst()
                .or(() -> sheet.holdsOn(part.code()).stream()
                        .filter(h -> teardown.isOff(h.by())
                                && !sheet.requirePart(h.by()).isPowerDown())
                        .map(h -> "before " + sheet.requirePart(h.by()).name() + ", which holds it")
                        .findFirst())
                .orElse("");
    }

    private void points(LubricationState lubrication, Set<String> leftOut) {
        for (OilPoint point : lubrication.open()) {
            if (!leftOut.contains(point.part())) {
                String why = point.before() == null
                        ? point.why()
                        : join("before " + sheet.requirePart(point.before()).name() + " goes on", point.why());
                open.put(point.code(), new Line(Kind.OIL, point.code(), point.name(), point.side(), why));
                if (point.after() == null && point.before() != null && open.containsKey(point.before())) {
                    rightBefore.put(point.code(), point.before());
                }
            }
        }
    }

    private void tests(JobHistory history, Set<String> leftOut) {
        Map<String, TestMade> made = new HashMap<>();
        history.all(TestMade.class).forEach(t -> made.put(t.test(), t));
        for (AssemblyTest test : sheet.tests()) {
            TestMade last = made.get(test.code());
            boolean settled = last != null && last.outcome() != TestMade.Outcome.FAILED;
            if (!settled && teardown.wasOff(test.after()) && !leftOut.contains(test.after())) {
                open.put(test.code(), new Line(Kind.TEST, test.code(), test.name(), test.side(), test.expect()));
            }
        }
    }

    private static String join(String first, String second) {
        return second.isBlank() ? first : first + ": " + second;
    }

    private void rules() {
        sheet.holds().stream()
                .filter(h -> h.basis() == Hold.Basis.STATED)
                .forEach(h -> constraints.add(new Constraint(
                        h.part(), h.by(), Weight.HOLD, name(h.part()) + " lies under it or is held by it")));
        sheet.earlyIns().forEach(e -> constraints.add(new Constraint(e.part(), e.before(), Weight.SAFETY, e.why())));
        sheet.oilPoints().forEach(p -> window(p.code(), p.after(), p.before(), p.name() + " can be oiled no longer"));
        sheet.tests()
                .forEach(t -> window(t.code(), t.after(), t.before(), t.name() + " can no longer be tested by itself"));
    }

    private void window(String code, @Nullable String after, @Nullable String before, String why) {
        if (after != null) {
            constraints.add(new Constraint(after, code, Weight.HOLD, name(after) + " is not on yet"));
        }
        if (before != null) {
            constraints.add(new Constraint(code, before, Weight.SAFETY, why));
        }
    }

    private String name(String code) {
        return sheet.part(code).map(Part::name).orElse(code);
    }

    private List<Sequencer.Item> items() {
        List<Sequencer.Item> items = new ArrayList<>();
        List<Part> order = sheet.parts();
        for (Line line : open.values()) {
            if (rightBefore.containsKey(line.code())) {
                continue;
            }
            if (line.kind() == Kind.PART) {
                Part part = sheet.requirePart(line.code());
                items.add(new Sequencer.Item(
                        line.code(), line.side(), part.group().name(), order.size() - order.indexOf(part)));
            } else {
                if (trainOiledLast
                        && line.kind() == Kind.OIL
                        && groupOf(line.code()).equals(Group.TRAIN.name())) {
                    // after every part of its side that does not close over it
                    items.add(new Sequencer.Item(line.code(), line.side(), "oiled last", 10_000));
                    continue;
                }
                // before any further part of the group just worked on, so that it comes as soon as its window opens
                items.add(new Sequencer.Item(line.code(), line.side(), groupOf(line.code()), 0));
            }
        }
        return items;
    }

    private String groupOf(String pointOrTest) {
        return Stream.concat(
                        sheet.oilPoints().stream()
                                .filter(p -> p.code().equals(pointOrTest))
                                .map(p -> Objects.requireNonNullElse(p.after(), p.part())),
                        sheet.tests().stream()
                                .filter(t -> t.code().equals(pointOrTest))
                                .map(AssemblyTest::after))
                .findFirst()
                .map(code -> sheet.requirePart(code).group().name())
                .orElse("");
    }

    /** Everything still to be done, in order. */
    public List<Line> lines() {
        List<Line> lines = new ArrayList<>();
        for (String id : sequence.ids()) {
            // a point that could be done at any time is done when the part it waits for is at hand
            rightBefore.forEach((point, part) -> {
                if (part.equals(id)) {
                    lines.add(Objects.requireNonNull(open.get(point)));
                }
            });
            lines.add(Objects.requireNonNull(open.get(id)));
        }
        return List.copyOf(lines);
    }

    /** The next line, or nothing when the movement is whole. */
    public Optional<Line> next() {
        return lines().stream().findFirst();
    }

    /** How often the movement will be turned over. */
    public int turnOvers() {
        return sequence.turnOvers();
    }

    /** Whether a line with this code is still open. */
    public boolean isOpen(String code) {
        return open.containsKey(code);
    }

    /** What doing this line now would close over or do too early, with the reason; empty when it may be done. */
    public List<Constraint> brokenBy(String code) {
        return constraints.stream()
                .filter(c -> c.then().equals(code) && open.containsKey(c.first()))
                .toList();
    }

    /** Lines that may be done at this moment without closing over anything. */
    public List<Line> freeNow() {
        return lines().stream().filter(l -> brokenBy(l.code()).isEmpty()).toList();
    }
}
