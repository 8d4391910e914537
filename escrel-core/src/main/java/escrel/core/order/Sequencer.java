package escrel.core.order;

import escrel.core.calibre.Side;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * Puts nodes in an order that keeps every constraint with the fewest turn-overs of the movement, then keeps groups
 * together, then follows the given priority. Used for the way down, the way in and the way up.
 *
 * <p>A side is exhausted before the movement is turned, from both possible starts; for two sides this gives the fewest
 * turns, since doing more on a side can only free more. Work in the hand is no turn: what it frees is done as soon as a
 * side is exhausted, what frees nothing waits for the end. Running time grows with items plus constraints, times the
 * number of free items; memory with items plus constraints. Source: M15.
 */
public final class Sequencer {
    /**
     * One thing to put in order.
     *
     * @param group things of one group stay together where nothing speaks against it
     * @param priority lower first among equals
     */
    public record Item(Node node, Side side, String group, int priority) {}

    /**
     * Where the hands are.
     *
     * @param up the side that lies up now; nothing = free choice, and the first laying-down is no turn
     * @param group what was worked on last, or empty
     */
    public record Bench(@Nullable Side up, String group) {
        /** Nothing was begun yet. */
        public static final Bench EMPTY = new Bench(null, "");
    }

    /**
     * An order with its cost.
     *
     * @param nodes every item once
     * @param turnOvers how often the movement is turned from where it lies
     */
    public record Sequence(List<Node> nodes, int turnOvers) {}

    private static final Comparator<Item> BY_PRIORITY = Comparator.comparingInt(Item::priority)
            .thenComparing(i -> i.node().code())
            .thenComparing(i -> i.node().getClass().getSimpleName());

    private final Map<Node, Item> items = new LinkedHashMap<>();
    private final Map<Node, Set<Node>> successors = new HashMap<>();
    private final Map<Node, Integer> waitingFor = new HashMap<>();
    private final Set<Node> freesSomethingOnASide = new HashSet<>();

    private Sequencer(Collection<Item> given, Collection<Constraint> constraints) {
        given.forEach(item -> items.put(item.node(), item));
        for (Constraint c : constraints) {
            boolean both = items.containsKey(c.first()) && items.containsKey(c.then());
            if (both
                    && successors
                            .computeIfAbsent(c.first(), k -> new HashSet<>())
                            .add(c.then())) {
                waitingFor.merge(c.then(), 1, Integer::sum);
            }
        }
        markFreeing();
    }

    /**
     * The order. Constraints that name something else than the items are left aside.
     *
     * @throws IllegalArgumentException when the constraints form a ring
     */
    public static Sequence order(Collection<Item> items, Collection<Constraint> constraints, Bench bench) {
        Sequencer sequencer = new Sequencer(items, constraints);
        if (bench.up() == null || bench.up() == Side.IN_HAND) {
            Sequence dial = sequencer.from(Side.DIAL, false, bench.group());
            Sequence train = sequencer.from(Side.TRAIN, false, bench.group());
            return dial.turnOvers() <= train.turnOvers() ? dial : train;
        }
        Sequence asItLies = sequencer.from(bench.up(), true, bench.group());
        Sequence turned = sequencer.from(bench.up().turned(), true, bench.group());
        return turned.turnOvers() + 1 < asItLies.turnOvers()
                ? new Sequence(turned.nodes(), turned.turnOvers() + 1)
                : asItLies;
    }

    /** Walks backwards from what is worked on a side: every node before it frees something there. */
    private void markFreeing() {
        Map<Node, List<Node>> predecessors = new HashMap<>();
        Deque<Node> open = new ArrayDeque<>();
        successors.forEach((first, later) -> later.forEach(then -> {
            predecessors.computeIfAbsent(then, k -> new ArrayList<>()).add(first);
            if (item(then).side() != Side.IN_HAND && freesSomethingOnASide.add(first)) {
                open.add(first);
            }
        }));
        while (!open.isEmpty()) {
            for (Node before : predecessors.getOrDefault(open.remove(), List.of())) {
                if (freesSomethingOnASide.add(before)) {
                    open.add(before);
                }
            }
        }
    }

    private Item item(Node node) {
        Item item = items.get(node);
        if (item == null) {
            throw new IllegalStateException("no item for " + node);
        }
        return item;
    }

    private Sequence from(Side start, boolean lies, String groupBefore) {
        Map<Node, Integer> waiting = new HashMap<>(waitingFor);
        TreeSet<Item> free = new TreeSet<>(BY_PRIORITY);
        items.values().stream().filter(i -> !waiting.containsKey(i.node())).forEach(free::add);
        List<Node> order = new ArrayList<>();
        Side up = start;
        boolean begun = lies;
        int turns = 0;
        String group = groupBefore;
        while (!free.isEmpty()) {
            Item next = choose(free, up, group);
            if (next.side() == up.turned()) {
                turns += begun ? 1 : 0;
                up = next.side();
            }
            begun |= next.side() != Side.IN_HAND;
            free.remove(next);
            order.add(next.node());
            group = next.group();
            for (Node freed : successors.getOrDefault(next.node(), Set.of())) {
                if (waiting.merge(freed, -1, Integer::sum) == 0) {
                    free.add(item(freed));
                }
            }
        }
        if (order.size() < items.size()) {
            throw new IllegalArgumentException("the constraints form a ring: only " + order.size() + " of "
                    + items.size() + " items can be ordered");
        }
        return new Sequence(List.copyOf(order), turns);
    }

    /** From the side that lies up; then in the hand if that frees a side; then after a turn; then the rest by hand. */
    private Item choose(TreeSet<Item> free, Side up, String group) {
        @Nullable Item sameSide = null;
        @Nullable Item freeing = null;
        @Nullable Item otherSide = null;
        for (Item item : free) {
            if (item.side() == up) {
                if (item.group().equals(group)) {
                    return item;
                }
                sameSide = sameSide == null ? item : sameSide;
            } else if (item.side() == Side.IN_HAND) {
                freeing = freeing == null && freesSomethingOnASide.contains(item.node()) ? item : freeing;
            } else {
                otherSide = otherSide == null ? item : otherSide;
            }
        }
        return sameSide != null ? sameSide : freeing != null ? freeing : otherSide != null ? otherSide : free.first();
    }
}
