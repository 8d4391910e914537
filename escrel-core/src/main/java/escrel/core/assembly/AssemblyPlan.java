package escrel.core.assembly;

import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.lubrication.LubricationState;
import escrel.core.order.Constraint;
import escrel.core.order.Node;
import escrel.core.order.Rules;
import escrel.core.order.Sequencer;
import escrel.core.parts.Searches;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.Episode;
import escrel.core.service.Lives;
import escrel.core.teardown.TeardownOrder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * The way up from the present state: every part that is off, every lubrication point due and every test, in an order in
 * which nothing is closed over. A part comes before what held it on the way down; early parts before what they must
 * precede; points and tests as soon as their window opens. Source: M15, ordering rule 10.
 */
public final class AssemblyPlan {
    /** After every part of its side that does not close over it. */
    private static final int LAST = 10_000;

    /** What a line of the plan is. */
    public enum Kind {
        PART,
        /** Screws of a fitted part that are still to come, or were eased: driven tight. */
        SCREWS,
        OIL,
        TEST
    }

    /**
     * One line of the plan.
     *
     * @param code of the part, the part whose screws they are, the point or test
     * @param why why it stands there, in words; may be empty
     */
    public record Line(Kind kind, String code, String name, Side side, String why) {
        /** Its place in the order. */
        public Node node() {
            return switch (kind) {
                case PART -> Node.part(code);
                case SCREWS -> Node.screws(code);
                case OIL -> Node.point(code);
                case TEST -> Node.test(code);
            };
        }
    }

    private final CalibreSheet sheet;
    private final Lives lives;
    private final LubricationState oil;
    private final TestState tests;
    private final Rules rules;
    private final boolean trainOiledLast;
    private final Map<Node, Line> open = new LinkedHashMap<>();
    private final Map<Node, Node> rightBefore = new LinkedHashMap<>();
    private final Sequencer.Sequence sequence;

    private AssemblyPlan(
            Lives lives, Rules up, Schools schools, Searches searches, LubricationState oil, TestState tests) {
        this.sheet = lives.sheet();
        this.lives = lives;
        this.oil = oil;
        this.tests = tests;
        this.rules = up;
        this.trainOiledLast = schools.has(Choice.TRAIN_AT_END);
        sheet.homes().stream()
                .filter(p ->
                        lives.isOff(p.code()) && !lives.leftOut().containsKey(p.code()) && !searches.isLost(p.code()))
                .forEach(p -> add(new Line(Kind.PART, p.code(), p.name(), p.side(), whyPart(p))));
        sheet.parts().stream()
                .filter(p -> !lives.isOff(p.code()) && lives.looseSince(p.code()) > 0)
                .forEach(this::screws);
        oil.open().forEach(this::point);
        tests.open().forEach(t -> add(new Line(Kind.TEST, t.code(), t.name(), t.side(), t.expect())));
        this.sequence = Sequencer.order(items(), up.all(), TeardownOrder.bench(lives));
    }

    /**
     * The way up from here.
     *
     * @param up rules of the way up on this sheet under these schools
     */
    public static AssemblyPlan from(
            Lives lives, Rules up, Schools schools, Searches searches, LubricationState oil, TestState tests) {
        return new AssemblyPlan(lives, up, schools, searches, oil, tests);
    }

    private void add(Line line) {
        open.put(line.node(), line);
    }

    private String whyPart(Part part) {
        return sheet.earlyIns().stream()
                .filter(e -> e.part().equals(part.code()) && lives.isOff(e.before()))
                .map(e -> "goes in before " + name(e.before()) + ": " + e.why())
                .findFirst()
                .or(() -> sheet.holdsOn(part.code()).stream()
                        .filter(h -> lives.isOff(h.by())
                                && !sheet.requirePart(h.by()).isPowerDown())
                        .map(h -> "before " + name(h.by()) + ", which holds it")
                        .findFirst())
                .orElse("");
    }

    private void screws(Part part) {
        Lives.ToCome come = lives.screwsToCome().get(part.code());
        String name = come == null
                ? part.name() + ": tighten again"
                : part.name() + ": " + come.count() + (come.count() == 1 ? " screw" : " screws") + " to come";
        String why = come == null ? "it was eased in its place" : "it is on, and not all its screws are";
        add(new Line(Kind.SCREWS, part.code(), name, part.side(), why));
    }

    private void point(OilPoint point) {
        String why =
                point.before() == null ? point.why() : join("before " + name(point.before()) + " goes on", point.why());
        Line line = new Line(Kind.OIL, point.code(), point.name(), point.side(), why);
        add(line);
        if (point.after() == null && point.before() != null && open.containsKey(Node.part(point.before()))) {
            // a point that could be done at any time is done when the part it waits for is at hand
            rightBefore.put(line.node(), Node.part(point.before()));
        }
    }

    private static String join(String first, String second) {
        return second.isBlank() ? first : first + ": " + second;
    }

    private String name(String code) {
        return sheet.part(code).map(Part::name).orElse(code);
    }

    private List<Sequencer.Item> items() {
        List<Sequencer.Item> items = new ArrayList<>();
        Map<String, Integer> place = new HashMap<>();
        sheet.parts().forEach(p -> place.put(p.code(), place.size()));
        for (Line line : open.values()) {
            if (!rightBefore.containsKey(line.node())) {
                items.add(item(line, place));
            }
        }
        return items;
    }

    private Sequencer.Item item(Line line, Map<String, Integer> place) {
        if (line.kind() == Kind.PART) {
            Part part = sheet.requirePart(line.code());
            int last = place.size() - place.getOrDefault(part.code(), 0);
            return new Sequencer.Item(line.node(), line.side(), part.group().name(), last);
        }
        String group = groupOf(line);
        if (trainOiledLast && line.kind() == Kind.OIL && group.equals(Group.TRAIN.name())) {
            return new Sequencer.Item(line.node(), line.side(), "oiled last", LAST);
        }
        // before any further part of the group just worked on, so that it comes as soon as its window opens
        return new Sequencer.Item(line.node(), line.side(), group, 0);
    }

    private String groupOf(Line line) {
        Optional<String> part = switch (line.kind()) {
            case PART, SCREWS -> Optional.of(line.code());
            case OIL -> sheet.oilPoint(line.code()).map(p -> Objects.requireNonNullElse(p.after(), p.part()));
            case TEST -> sheet.test(line.code()).map(AssemblyTest::after);
        };
        return part.flatMap(sheet::part).map(p -> p.group().name()).orElse("");
    }

    /** Everything still to be done, in order. */
    public List<Line> lines() {
        List<Line> lines = new ArrayList<>();
        for (Node node : sequence.nodes()) {
            rightBefore.forEach((point, part) -> {
                if (part.equals(node)) {
                    lines.add(line(point));
                }
            });
            lines.add(line(node));
        }
        return List.copyOf(lines);
    }

    private Line line(Node node) {
        return Objects.requireNonNull(open.get(node));
    }

    /** The next line, or nothing when the movement is whole. */
    public Optional<Line> next() {
        return lines().stream().findFirst();
    }

    /** How often the movement will be turned over. */
    public int turnOvers() {
        return sequence.turnOvers();
    }

    /** The open line of this kind and code, if it is open. */
    public Optional<Line> find(Kind kind, String code) {
        return Optional.ofNullable(open.get(new Line(kind, code, "", Side.TRAIN, "").node()));
    }

    /** What doing this line now would close over or do too early, with the reason; empty when it may be done. */
    public List<Constraint> brokenBy(Line line) {
        return rules.before(line.node()).stream()
                .filter(c -> c.weight() != Constraint.Weight.SEEN && open.containsKey(c.first()))
                .toList();
    }

    /**
     * An open line that lies under something that went on over it.
     *
     * @param under the part that has to come off again for it
     */
    public record Forgotten(Line line, Part under) {}

    /** What was closed over and is still open: each once, under the part that went on last. Source: craft 1, 9. */
    public List<Forgotten> forgotten() {
        Map<Node, Part> covers = new LinkedHashMap<>();
        Map<Node, Integer> since = new HashMap<>();
        for (Constraint rule : rules.all()) {
            if (!rule.wantsReason() || !open.containsKey(rule.first()) || !(rule.then() instanceof Node.OfPart over)) {
                continue;
            }
            int on = lives.episode(over.code())
                    .filter(e -> !e.isOpen())
                    .map(Episode::onAt)
                    .orElse(0);
            if (on > owedSince(rule.first()) && on > since.getOrDefault(rule.first(), 0)) {
                sheet.part(over.code()).ifPresent(p -> covers.put(rule.first(), p));
                since.put(rule.first(), on);
            }
        }
        return covers.entrySet().stream()
                .map(e -> new Forgotten(line(e.getKey()), e.getValue()))
                .toList();
    }

    /** Since when a line is owed. */
    private int owedSince(Node node) {
        Line line = line(node);
        return switch (line.kind()) {
            case PART -> lives.offAt(line.code());
            case SCREWS -> lives.looseSince(line.code());
            case OIL -> sheet.oilPoint(line.code()).map(oil::owedSince).orElse(0);
            case TEST -> sheet.test(line.code()).map(tests::owedSince).orElse(0);
        };
    }

    /** Lines that may be done at this moment without closing over anything. */
    public List<Line> freeNow() {
        return lines().stream().filter(l -> brokenBy(l).isEmpty()).toList();
    }
}
