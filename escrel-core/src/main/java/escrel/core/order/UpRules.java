package escrel.core.order;

import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.EarlyIn;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Jewel;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.order.Constraint.Weight;
import escrel.core.school.School;
import escrel.core.school.Schools;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Every rule of the way up that has something to say on a sheet, rings not looked at yet. Source: craft 2.13, 6. */
final class UpRules {
    private static final String TIMED_WHY =
            "the movement runs and is timed before it is covered: nobody fits a dial over a train that has not run";
    private final CalibreSheet sheet;
    private final List<Constraint> found = new ArrayList<>();

    private UpRules(CalibreSheet sheet) {
        this.sheet = sheet;
    }

    static List<Constraint> of(CalibreSheet sheet, Schools schools) {
        UpRules rules = new UpRules(sheet);
        rules.holds();
        rules.screws();
        rules.earlyParts();
        rules.points();
        rules.tests();
        rules.handsLast();
        return rules.found;
    }

    /** Nobody turns a movement with its hands on to build a chronograph on its other side. */
    private void handsLast() {
        for (Part first : sheet.parts()) {
            for (Part then : sheet.parts()) {
                if (first.group() == Group.CHRONOGRAPH && then.group() == Group.DIAL_AND_HANDS) {
                    add(
                            Node.part(first.code()),
                            Node.part(then.code()),
                            Weight.SEEN,
                            "dial and hands usually go on once the chronograph works");
                }
            }
        }
    }

    private void holds() {
        for (Hold hold : sheet.holds()) {
            // letting down holds the fork only on the way down: a train is tried under a few clicks before the fork
            // goes in
            if (sheet.requirePart(hold.by()).isPowerDown()
                    || sheet.requirePart(hold.part()).isPowerDown()) {
                continue;
            }
            Weight weight = hold.basis() == Hold.Basis.STATED ? Weight.HOLD : Weight.SEEN;
            String why = weight == Weight.HOLD ? name(hold.part()) + " lies under it or is held by it" : hold.why();
            add(Node.part(hold.part()), Node.part(hold.by()), weight, why);
        }
        for (Part part : sheet.parts()) {
            if (part.unit() != null) {
                add(
                        Node.part(part.code()),
                        Node.part(Objects.requireNonNull(part.unit())),
                        Weight.HOLD,
                        part.name() + " goes into it in the hand");
            }
        }
    }

    /** A screw still to come, or eased, is driven before it is covered, and before the movement runs. */
    private void screws() {
        ScrewCovers covers = new ScrewCovers(sheet);
        for (Part part : sheet.parts()) {
            for (Part over : covers.over(part)) {
                add(
                        Node.screws(part.code()),
                        Node.part(over.code()),
                        Weight.SAFETY,
                        "a screw of " + part.name() + " is not in and tight, and lies under it");
            }
        }
    }

    private void earlyParts() {
        Set<String> caps = sheet.jewels().stream()
                .filter(j -> j.kind() == Jewel.Kind.CAP)
                .map(Jewel::part)
                .collect(Collectors.toSet());
        for (EarlyIn early : sheet.earlyIns()) {
            // when the settings are oiled is a habit; a shouldered screw under a bridge is not
            boolean habit = caps.contains(early.part());
            found.add(new Constraint(
                    Node.part(early.part()),
                    Node.part(early.before()),
                    habit ? Weight.SCHOOL : Weight.SAFETY,
                    early.why(),
                    habit ? School.BALANCE_SETTINGS : null));
        }
    }

    private void points() {
        for (OilPoint point : sheet.oilPoints()) {
            window(Node.point(point.code()), point.after(), point.before(), point.name() + " can be oiled no longer");
        }
    }

    private void tests() {
        List<AssemblyTest> all = sheet.climbTests();
        for (AssemblyTest test : all) {
            window(
                    Node.test(test.code()),
                    test.after(),
                    test.before(),
                    test.name() + " can no longer be tested by itself");
            if (test.proof() == AssemblyTest.Proof.READING || test.proof() == AssemblyTest.Proof.DEMAGNETISED) {
                running(test);
            }
            if (test.proof() == AssemblyTest.Proof.READING) {
                all.stream()
                        .filter(t -> t.proof() == AssemblyTest.Proof.DEMAGNETISED)
                        .forEach(t -> add(
                                Node.test(t.code()),
                                Node.test(test.code()),
                                Weight.SAFETY,
                                "a running movement is demagnetised before it is read"));
                timed(test);
            }
        }
    }

    /** What asks for a running movement waits for everything without which it stands still. */
    private void running(AssemblyTest test) {
        for (Part part : sheet.homes()) {
            if (part.group().stopsTheMovement()) {
                add(
                        Node.part(part.code()),
                        Node.test(test.code()),
                        Weight.HOLD,
                        "the movement does not run without " + part.name());
            }
        }
        for (Part part : sheet.parts()) {
            if (part.group().stopsTheMovement() && !part.isPowerDown()) {
                add(
                        Node.screws(part.code()),
                        Node.test(test.code()),
                        Weight.SAFETY,
                        part.name() + " is not screwed tight: no movement runs under a loose bridge");
            }
        }
        for (OilPoint point : sheet.oilPoints()) {
            if (stopsTheMovement(point.part())) {
                add(
                        Node.point(point.code()),
                        Node.test(test.code()),
                        Weight.SAFETY,
                        point.name() + " is dry: no train runs on dry pivots");
            }
        }
        for (AssemblyTest other : sheet.climbTests()) {
            boolean byHand = other.proof() == AssemblyTest.Proof.SEEN || other.proof() == AssemblyTest.Proof.WOUND;
            if (byHand && stopsTheMovement(other.after())) {
                add(
                        Node.test(other.code()),
                        Node.test(test.code()),
                        Weight.SEEN,
                        "what eye and hand can tell is told before it goes onto the timing machine");
            }
        }
    }

    private boolean stopsTheMovement(String part) {
        return sheet.part(part).filter(p -> p.group().stopsTheMovement()).isPresent();
    }

    private void timed(AssemblyTest test) {
        for (Part part : sheet.parts()) {
            if (part.group().coversTheRunningMovement()) {
                add(Node.test(test.code()), Node.part(part.code()), Weight.SAFETY, TIMED_WHY);
            } else if (part.group() == Group.MOTION_WORK) {
                add(
                        Node.test(test.code()),
                        Node.part(part.code()),
                        Weight.SEEN,
                        "motion work usually goes on once the movement was timed");
            }
        }
    }

    private void window(Node node, @Nullable String after, @Nullable String before, String why) {
        if (after != null) {
            add(Node.part(after), node, Weight.HOLD, name(after) + " is not on yet");
        }
        if (before != null) {
            add(node, Node.part(before), Weight.SAFETY, why);
        }
    }

    private void add(Node first, Node then, Weight weight, String why) {
        found.add(new Constraint(first, then, weight, why));
    }

    private String name(String code) {
        return sheet.part(code).map(Part::name).orElse(code);
    }
}
