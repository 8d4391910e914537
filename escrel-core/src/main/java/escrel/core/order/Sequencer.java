package escrel.core.order;

import escrel.core.calibre.Side;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Puts nodes in an order that keeps every constraint with the fewest turn-overs of the movement, then keeps groups
 * together, then follows the given priority. Used for the way down, the way in and the way up.
 *
 * <p>A side is exhausted before the movement is turned, from both possible starts; for two sides this gives the fewest
 * turns, since doing more on a side can only free more. Work in the hand is no turn: what it frees is done as soon as a
 * side is exhausted, what frees nothing waits for the end. Running time grows with items plus constraints, times the
 * number of free items; memory with items plus constraints, and a bit for each pair of items at worst. Source: M15.
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

    /** By priority, so that the first that is free is the first that is wanted. */
    private final List<Item> items;
    /** For each item those that come after it, and those that come before it. */
    private final BitSet[] successors;

    private final BitSet[] predecessors;
    private final BitSet freesSomethingOnASide = new BitSet();

    private Sequencer(Collection<Item> given, Collection<Constraint> constraints) {
        Map<Node, Item> byNode = new LinkedHashMap<>();
        given.forEach(item -> byNode.put(item.node(), item));
        items = byNode.values().stream().sorted(BY_PRIORITY).toList();
        Map<Node, Integer> places = new HashMap<>();
        items.forEach(item -> places.put(item.node(), places.size()));
        successors = empty(items.size());
        predecessors = empty(items.size());
        for (Constraint c : constraints) {
            Integer first = places.get(c.first());
            Integer then = first == null ? null : places.get(c.then());
            if (first != null && then != null) {
                successors[first].set(then);
                predecessors[then].set(first);
            }
        }
        markFreeing();
    }

    private static BitSet[] empty(int size) {
        return Stream.generate(BitSet::new).limit(size).toArray(BitSet[]::new);
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
            return dial.turnOvers() == 0 ? dial : fewer(dial, sequencer.from(Side.TRAIN, false, bench.group()));
        }
        Sequence asItLies = sequencer.from(bench.up(), true, bench.group());
        if (asItLies.turnOvers() <= 1) {
            // turned first, it would be turned once at least
            return asItLies;
        }
        Sequence turned = sequencer.from(bench.up().turned(), true, bench.group());
        return fewer(asItLies, new Sequence(turned.nodes(), turned.turnOvers() + 1));
    }

    private static Sequence fewer(Sequence one, Sequence other) {
        return other.turnOvers() < one.turnOvers() ? other : one;
    }

    /** Walks backwards from what is worked on a side: every item before it frees something there. */
    private void markFreeing() {
        BitSet open = new BitSet();
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i).side() != Side.IN_HAND) {
                open.or(predecessors[i]);
            }
        }
        for (int next = open.nextSetBit(0); next >= 0; next = open.nextSetBit(0)) {
            open.clear(next);
            if (!freesSomethingOnASide.get(next)) {
                freesSomethingOnASide.set(next);
                open.or(predecessors[next]);
            }
        }
    }

    private Sequence from(Side start, boolean lies, String groupBefore) {
        int[] waiting =
                Arrays.stream(predecessors).mapToInt(BitSet::cardinality).toArray();
        BitSet free = new BitSet();
        IntStream.range(0, waiting.length).filter(i -> waiting[i] == 0).forEach(free::set);
        List<Node> order = new ArrayList<>();
        Side up = start;
        boolean begun = lies;
        int turns = 0;
        String group = groupBefore;
        while (!free.isEmpty()) {
            int place = choose(free, up, group);
            Item next = items.get(place);
            if (next.side() == up.turned()) {
                turns += begun ? 1 : 0;
                up = next.side();
            }
            begun |= next.side() != Side.IN_HAND;
            free.clear(place);
            order.add(next.node());
            group = next.group();
            BitSet later = successors[place];
            for (int i = later.nextSetBit(0); i >= 0; i = later.nextSetBit(i + 1)) {
                waiting[i]--;
                free.set(i, waiting[i] == 0);
            }
        }
        if (order.size() < items.size()) {
            throw new IllegalArgumentException("the constraints form a ring: only " + order.size() + " of "
                    + items.size() + " items can be ordered");
        }
        return new Sequence(List.copyOf(order), turns);
    }

    /** From the side that lies up; then in the hand if that frees a side; then after a turn; then the rest by hand. */
    private int choose(BitSet free, Side up, String group) {
        int sameSide = -1;
        int freeing = -1;
        int otherSide = -1;
        for (int i = free.nextSetBit(0); i >= 0; i = free.nextSetBit(i + 1)) {
            Item item = items.get(i);
            if (item.side() == up) {
                if (item.group().equals(group)) {
                    return i;
                }
                sameSide = sameSide < 0 ? i : sameSide;
            } else if (item.side() == Side.IN_HAND) {
                freeing = freeing < 0 && freesSomethingOnASide.get(i) ? i : freeing;
            } else {
                otherSide = otherSide < 0 ? i : otherSide;
            }
        }
        return sameSide >= 0 ? sameSide : freeing >= 0 ? freeing : otherSide >= 0 ? otherSide : free.nextSetBit(0);
    }
}
