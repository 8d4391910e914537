package escrel.core.learning;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What several teardowns of one calibre say about the order of its parts. A pair that occurred both ways cannot be a
 * hold; a pair always seen one way in m teardowns is "always seen so (m times)" and no more than that. Source: M16.
 *
 * <p>Memory and time grow with the square of the number of parts, the chain with its cube; 120 parts take a few
 * milliseconds.
 */
public final class SeenOrders {
    /**
     * One part before another.
     *
     * @param times in how many teardowns both came off in this order
     */
    public record Pair(String first, String then, int times) {}

    private static final Pattern NUMBER = Pattern.compile("(\\d{1,6}) times");

    private final Set<String> names = new LinkedHashSet<>();
    private final Map<String, Map<String, Integer>> before = new HashMap<>();
    private final int teardowns;

    private SeenOrders(List<List<String>> orders) {
        this.teardowns = orders.size();
        for (List<String> order : orders) {
            List<String> once = new ArrayList<>(new LinkedHashSet<>(order));
            names.addAll(once);
            for (int i = 0; i < once.size(); i++) {
                Map<String, Integer> counts = before.computeIfAbsent(once.get(i), k -> new HashMap<>());
                for (String later : once.subList(i + 1, once.size())) {
                    counts.merge(later, 1, Integer::sum);
                }
            }
        }
    }

    /**
     * From the orders in which parts came off.
     *
     * @param orders one list of codes per teardown, first off first; a code twice in one counts where it stands first
     */
    public static SeenOrders of(List<List<String>> orders) {
        return new SeenOrders(orders);
    }

    /** How many teardowns were looked at. */
    public int teardowns() {
        return teardowns;
    }

    /** In how many teardowns the first came off before the other. */
    public int timesBefore(String first, String then) {
        return before.getOrDefault(first, Map.of()).getOrDefault(then, 0);
    }

    /** Whether the pair was seen in both orders, so that neither holds the other. */
    public boolean seenBothWays(String a, String b) {
        return timesBefore(a, b) > 0 && timesBefore(b, a) > 0;
    }

    /** In how many teardowns the first came before the other, when it never was the other way round; else 0. */
    public int alwaysBefore(String first, String then) {
        return timesBefore(then, first) > 0 ? 0 : timesBefore(first, then);
    }

    /**
     * The pairs always seen one way, without those that follow from two others: after one teardown the chain of its
     * order, after several what they agree on.
     */
    public List<Pair> chain() {
        List<Pair> chain = new ArrayList<>();
        for (String first : names) {
            Set<String> later = new HashSet<>();
            names.stream().filter(n -> alwaysBefore(first, n) > 0).forEach(later::add);
            for (String then : names) {
                if (later.contains(then) && later.stream().noneMatch(between -> alwaysBefore(between, then) > 0)) {
                    chain.add(new Pair(first, then, alwaysBefore(first, then)));
                }
            }
        }
        return List.copyOf(chain);
    }

    /** "once", "5 times". */
    static String timesWords(int times) {
        return times == 1 ? "once" : times + " times";
    }

    /** How often, read back from such words; 1 where they name no number. */
    static int timesIn(String words) {
        Matcher number = NUMBER.matcher(words);
        return number.find() ? Integer.parseInt(number.group(1)) : 1;
    }
}
