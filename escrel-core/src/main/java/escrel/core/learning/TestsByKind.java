package escrel.core.learning;

import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;

/** The tests that come on the way up of a movement no sheet knows, by the kinds of part it was found to have. Source: craft 10. */
final class TestsByKind {
    private final Collection<Part> parts;
    private final List<AssemblyTest> tests = new ArrayList<>();

    private TestsByKind(Collection<Part> parts) {
        this.parts = parts;
    }

    /** The tests, each after the part that makes it possible. */
    static List<AssemblyTest> of(Collection<Part> parts) {
        TestsByKind kinds = new TestsByKind(parts);
        kinds.each(p -> p.role() == Role.BARREL, "Lid even, arbor free", "Turn the arbor by hand; the lid runs true.");
        kinds.each(
                p -> p.role() == Role.TRAIN_BRIDGE,
                "Train free under it, every wheel with end-shake",
                "A touch on the barrel or the largest wheel spins the train; each wheel lifts a hair.");
        kinds.wound(p -> p.role() == Role.RATCHET_WHEEL, "Click holds", "Wound a little, nothing runs back.");
        kinds.wound(
                p -> p.role() == Role.PALLET_BRIDGE,
                "Fork snaps across both ways",
                "Wound a little and nudged, it snaps.");
        kinds.each(
                p -> p.role() == Role.BALANCE_COCK, "Balance starts by itself", "It swings long and dies away slowly.");
        kinds.each(
                p -> p.group() == Group.KEYLESS && named(p, "cover"),
                "Every crown position works",
                "Winding, setting and whatever lies between, each twice.");
        kinds.each(
                p -> p.role() == Role.CANNON_PINION,
                "Hands neither slip nor drag",
                "The friction carries them evenly.");
        kinds.first(
                p -> p.group() == Group.CALENDAR && named(p, "date ring"),
                "Date changes three times",
                "Calendar built, dial on, hands on.");
        kinds.first(
                p -> p.group() == Group.CHRONOGRAPH && named(p, "hammer") && !named(p, "spring"),
                "Starts, stops, both counters back to zero",
                "After some minutes' run too; amplitude with it on and off compared.");
        kinds.first(
                p -> p.group() == Group.ALARM && named(p, "hammer") && !named(p, "spring"),
                "Rings at the hour it is set to",
                "Over a full turn of the hands.");
        return List.copyOf(kinds.tests);
    }

    private static boolean named(Part part, String word) {
        return part.name().toLowerCase(Locale.ROOT).contains(word);
    }

    private void each(Predicate<Part> which, String name, String expect) {
        parts.stream().filter(which).forEach(p -> add(p, name, expect, AssemblyTest.Proof.SEEN));
    }

    private void wound(Predicate<Part> which, String name, String expect) {
        parts.stream().filter(which).forEach(p -> add(p, name, expect, AssemblyTest.Proof.WOUND));
    }

    private void first(Predicate<Part> which, String name, String expect) {
        parts.stream().filter(which).findFirst().ifPresent(p -> add(p, name, expect, AssemblyTest.Proof.SEEN));
    }

    private void add(Part part, String name, String expect, AssemblyTest.Proof proof) {
        tests.add(new AssemblyTest(
                "kind-" + part.code(), name + ": " + part.name(), part.side(), part.code(), null, expect, proof));
    }
}
