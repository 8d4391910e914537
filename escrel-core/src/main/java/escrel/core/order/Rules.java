package escrel.core.order;

import escrel.core.calibre.CalibreSheet;
import escrel.core.school.Schools;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * The rules of one direction on one sheet, weightiest first and free of rings: a rule that would close a ring with
 * weightier ones (or with earlier ones of its own weight) gives way. Nothing here throws on a faulty sheet: what names
 * parts the sheet does not have is left aside, and {@code SheetCheck} names the ring.
 *
 * <p>Running time grows with the pairs that are new, each costing nodes times a few machine words; 300 parts with every
 * rule take a few milliseconds.
 */
public final class Rules {
    private final List<Constraint> all;
    private final Map<Node, List<Constraint>> byThen = new HashMap<>();

    private Rules(List<Constraint> kept) {
        this.all = List.copyOf(kept);
        all.forEach(
                c -> byThen.computeIfAbsent(c.then(), k -> new ArrayList<>()).add(c));
    }

    /** The rules of the way down: holds, safety, the schools chosen, what was always seen so. Source: craft 6. */
    public static Rules down(CalibreSheet sheet, Schools schools) {
        return of(Nodes.ofParts(sheet), DownRules.of(sheet, schools));
    }

    /** The rules of the way up: holds reversed, early parts, the windows of points and tests. Source: craft 2.13, 6. */
    public static Rules up(CalibreSheet sheet, Schools schools) {
        return of(Nodes.ofAll(sheet), UpRules.of(sheet, schools));
    }

    /** Of these constraints, weightiest first, those that close no ring with the ones before. */
    public static Rules withoutRings(List<Constraint> candidates) {
        Set<Node> nodes = new LinkedHashSet<>();
        candidates.forEach(c -> {
            nodes.add(c.first());
            nodes.add(c.then());
        });
        return of(nodes, candidates);
    }

    /** Keeps, weight by weight, what closes no ring with what was kept before. */
    static Rules of(Collection<Node> nodes, List<Constraint> candidates) {
        Precedence precedence = new Precedence(nodes);
        List<Constraint> kept = new ArrayList<>();
        candidates.stream()
                .sorted(Comparator.comparing(Constraint::weight))
                // no rule leads to screws being driven, so no ring goes through them
                .filter(c -> c.first() instanceof Node.OfScrews || precedence.add(c.first(), c.then()))
                .forEach(kept::add);
        return new Rules(kept);
    }

    /** These rules without some. */
    public Rules without(Predicate<Constraint> which) {
        return new Rules(all.stream().filter(which.negate()).toList());
    }

    /** Every rule, weightiest first. */
    public List<Constraint> all() {
        return all;
    }

    /** What a node waits for, weightiest first. */
    public List<Constraint> before(Node then) {
        return byThen.getOrDefault(then, List.of());
    }

    /**
     * A node and everything that must come before it by rules of these weights, and before that, and so on.
     *
     * @param which rules that count
     */
    public Set<Node> closure(Node node, Predicate<Constraint> which) {
        Set<Node> found = new HashSet<>();
        List<Node> open = new ArrayList<>(List.of(node));
        while (!open.isEmpty()) {
            Node next = open.remove(open.size() - 1);
            if (found.add(next)) {
                before(next).stream().filter(which).map(Constraint::first).forEach(open::add);
            }
        }
        return found;
    }
}
