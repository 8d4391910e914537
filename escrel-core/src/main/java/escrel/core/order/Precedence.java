package escrel.core.order;

import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;

/**
 * What comes before what, kept closed under "and therefore", so that a pair that would close a ring is refused at once.
 * Adding a pair that is known already costs a look-up; a new one costs nodes times a few machine words. A school that
 * puts one side before the other adds thousands of pairs, which is why this is not left to a general graph.
 */
final class Precedence {
    private final Map<Node, Integer> index = new HashMap<>();
    private final BitSet[] after;

    /** Over these nodes, none before another yet. */
    Precedence(Collection<Node> nodes) {
        nodes.forEach(n -> index.putIfAbsent(n, index.size()));
        after = new BitSet[index.size()];
        for (int i = 0; i < after.length; i++) {
            after[i] = new BitSet(after.length);
        }
    }

    /** Adds "first before then"; false, and nothing added, when that would close a ring or a node is unknown. */
    boolean add(Node first, Node then) {
        Integer a = index.get(first);
        Integer b = index.get(then);
        if (a == null || b == null || a.equals(b) || after[b].get(a)) {
            return false;
        }
        if (!after[a].get(b)) {
            BitSet gained = (BitSet) after[b].clone();
            gained.set(b);
            after[a].or(gained);
            for (BitSet set : after) {
                if (set.get(a)) {
                    set.or(gained);
                }
            }
        }
        return true;
    }
}
