package escrel.core.learning;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What several teardowns of one calibre say about the order of its parts. A pair that occurred both ways cannot be a
 * hold; a pair always seen one way in m teardowns is "always seen so (m times)" and no more than that. Source: M16.
 *
 * <p>Memory grows with the square of the number of parts, the chain with its cube; 120 parts take a few milliseconds.
 */
public final class SeenOrders {
    /**
     * One part before another.
     *
     * @param times in how many teardowns both came off in this order
     */
    public record Pair(String first, String then, int times) {}

    private static final Pattern NUMBER = Pattern.compile("(\\d{1,6}) times");

    private final Map<String, Integer> places;
    /** In how many teardowns the part of the row came off before the part of the column. */
    private final int[][] before;

    private final int teardowns;

    private SeenOrders(Map<String, Integer> places, int[][] before, int teardowns) {
        this.places = places;
        this.before = before;
        this.teardowns = teardowns;
    }

    /**
     * From the orders in which parts came off.
     *
     * @param orders one list of codes per teardown, first off first; a code twice in one counts where it stands first
     */
    public static SeenOrders of(List<List<String>> orders) {
        Counting counting = new Counting();
        orders.forEach(counting::add);
        return counting.seen();
    }

    /** Counts that are moved on as teardowns come and go, so that those of many years need not be counted anew. */
    public static final class Counting {
        private final Map<String, Integer> places = new LinkedHashMap<>();
        private int[][] before = new int[32][32];
        private int teardowns;

        /** Counts a teardown. */
        public void add(List<String> order) {
            count(order, 1);
        }

        /** No longer counts one that was counted. */
        public void remove(List<String> order) {
            count(order, -1);
        }

        private void count(List<String> order, int by) {
            teardowns += by;
            int[] row = order.stream().distinct().mapToInt(this::place).toArray();
            for (int i = 0; i < row.length; i++) {
                for (int j = i + 1; j < row.length; j++) {
                    before[row[i]][row[j]] += by;
                }
            }
        }

        private int place(String part) {
            int place = places.computeIfAbsent(part, k -> places.size());
            if (place == before.length) {
                int[][] wider = new int[2 * place][2 * place];
                for (int i = 0; i < place; i++) {
                    System.arraycopy(before[i], 0, wider[i], 0, place);
                }
                before = wider;
            }
            return place;
        }

        /** What they say now; later counts do not change it. */
        public SeenOrders seen() {
            int parts = places.size();
            int[][] now = new int[parts][];
            for (int i = 0; i < parts; i++) {
                now[i] = Arrays.copyOf(before[i], parts);
            }
            return new SeenOrders(new LinkedHashMap<>(places), now, teardowns);
        }
    }

    /** How many teardowns were looked at. */
    public int teardowns() {
        return teardowns;
    }

    /** The same as far as it is about these parts: what followed through others follows still. */
    public SeenOrders among(Predicate<String> which) {
        Map<String, Integer> some = new LinkedHashMap<>(places);
        some.keySet().removeIf(which.negate());
        return new SeenOrders(some, before, teardowns);
    }

    /** In how many teardowns the first came off before the other. */
    public int timesBefore(String first, String then) {
        Integer row = places.get(first);
        Integer column = places.get(then);
        return row == null || column == null ? 0 : before[row][column];
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
        for (String first : places.keySet()) {
            Set<String> later = new HashSet<>();
            places.keySet().stream().filter(n -> alwaysBefore(first, n) > 0).forEach(later::add);
            for (String then : places.keySet()) {
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
