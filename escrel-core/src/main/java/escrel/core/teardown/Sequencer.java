package escrel.core.teardown;

import escrel.core.calibre.Side;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * Puts things in an order that keeps every constraint with the fewest turn-overs of the movement, then keeps groups
 * together, then follows the given priority. Used for the way down, the way in and the way up.
 *
 * <p>A side is exhausted before the movement is turned, from both possible starts; for two sides this gives the fewest
 * turns, since doing more on a side can only free more. Work in the hand is no turn: what it frees is done as soon as a
 * side is exhausted, what frees nothing waits for the end. Running time grows with items times constraints, for 300
 * items about a millisecond. Source: M15.
 */
public final class Sequencer {
    /**
     * One thing to put in order.
     *
     * @param group things of one group stay together where nothing speaks against it
     * @param priority lower first among equals
     */
    public record Item(String id, Side side, String group, int priority) {}

    /**
     * An order with its cost.
     *
     * @param ids every item once
     * @param turnOvers how often the movement is turned, the first laying-down not counted
     */
    public record Sequence(List<String> ids, int turnOvers) {}

    private static final Comparator<Item> BY_PRIORITY =
            Comparator.comparingInt(Item::priority).thenComparing(Item::id);

    private final Map<String, Item> items = new LinkedHashMap<>();
    private final Map<String, List<String>> successors = new HashMap<>();
    private final Map<String, Integer> waitingFor = new HashMap<>();
    private final Set<String> freesSomethingOnASide = new HashSet<>();

    private Sequencer(Collection<Item> given, Collection<Constraint> constraints) {
        given.forEach(item -> items.put(item.id(), item));
        for (Constraint c : new HashSet<>(pairs(constraints))) {
            successors.computeIfAbsent(c.first(), k -> new ArrayList<>()).add(c.then());
            waitingFor.merge(c.then(), 1, Integer::sum);
        }
        items.keySet().forEach(this::freesASide);
    }

    /**
     * The order. Constraints that name something else than the items are left aside.
     *
     * @param start the side that lies up now, kept when both starts need the same number of turns; nothing = free choice
     * @throws IllegalArgumentException when the constraints form a ring
     */
    public static Sequence order(Collection<Item> items, Collection<Constraint> constraints, @Nullable Side start) {
        Sequencer sequencer = new Sequencer(items, constraints);
        Sequence dial = sequencer.from(Side.DIAL);
        Sequence train = sequencer.from(Side.TRAIN);
        if (start == Side.DIAL) {
            return train.turnOvers() + 1 < dial.turnOvers() ? train : dial;
        }
        if (start == Side.TRAIN) {
            return dial.turnOvers() + 1 < train.turnOvers() ? dial : train;
        }
        return dial.turnOvers() <= train.turnOvers() ? dial : train;
    }

    private List<Constraint> pairs(Collection<Constraint> constraints) {
        return constraints.stream()
                .filter(c -> items.containsKey(c.first()) && items.containsKey(c.then()))
                // weight and wording do not matter here; equal pairs count once
                .map(c -> new Constraint(c.first(), c.then(), Constraint.Weight.HOLD, ""))
                .toList();
    }

    private boolean freesASide(String id) {
        boolean frees = false;
        for (String next : successors.getOrDefault(id, List.of())) {
            frees |= items.get(next).side() != Side.IN_HAND || freesASide(next);
        }
        if (frees) {
            freesSomethingOnASide.add(id);
        }
        return frees;
    }

    private Sequence from(Side start) {
        Map<String, Integer> waiting = new HashMap<>(waitingFor);
        TreeSet<Item> free = new TreeSet<>(BY_PRIORITY);
        items.values().stream().filter(i -> !waiting.containsKey(i.id())).forEach(free::add);
        List<String> order = new ArrayList<>();
        Side up = start;
        boolean begun = false;
        int turns = 0;
        String group = "";
        while (!free.isEmpty()) {
            Item next = choose(free, up, group);
            if (next.side() == up.turned()) {
                turns += begun ? 1 : 0;
                up = next.side();
            }
            begun |= next.side() != Side.IN_HAND;
            free.remove(next);
            order.add(next.id());
            group = next.group();
            for (String freed : successors.getOrDefault(next.id(), List.of())) {
                if (waiting.merge(freed, -1, Integer::sum) == 0) {
                    free.add(items.get(freed));
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
                freeing = freeing == null && freesSomethingOnASide.contains(item.id()) ? item : freeing;
            } else {
                otherSide = otherSide == null ? item : otherSide;
            }
        }
        return sameSide != null ? sameSide : freeing != null ? freeing : otherSide != null ? otherSide : free.first();
    }
}
