package escrel.core.learning;

import escrel.core.condition.Defect;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What the services of a calibre found on its parts, and how often: "scored in 4 of 7". A part is counted where it came off;
 * each defect once a service. Source: craft 2.19.
 */
public final class FoundBefore {
    /** Of fewer services nothing is said: one watch is no weak point. */
    public static final int FEWEST_SERVICES = 2;

    /**
     * What one service says.
     *
     * @param taken codes of the parts that came off
     * @param found what was wrong with them, by code
     */
    public record Service(Set<String> taken, Map<String, Set<Defect>> found) {
        public Service {
            taken = Set.copyOf(taken);
            found = Map.copyOf(found);
        }
    }

    /** Counts that are moved on as services come and go. */
    public static final class Counting {
        private final Map<String, Integer> taken = new HashMap<>();
        private final Map<String, Map<Defect, Integer>> found = new HashMap<>();

        /** Counts a service. */
        public void add(Service service) {
            count(service, 1);
        }

        /** No longer counts one that was counted. */
        public void remove(Service service) {
            count(service, -1);
        }

        private void count(Service service, int by) {
            service.taken().forEach(p -> taken.merge(p, by, Integer::sum));
            service.found().forEach((part, defects) -> {
                if (service.taken().contains(part)) {
                    Map<Defect, Integer> of = found.computeIfAbsent(part, k -> new HashMap<>());
                    defects.forEach(d -> of.merge(d, by, Integer::sum));
                }
            });
        }

        /** What they say now; later counts do not change it. */
        public FoundBefore seen() {
            Map<String, Map<Defect, Integer>> copy = new HashMap<>();
            found.forEach((part, defects) -> copy.put(part, Map.copyOf(defects)));
            return new FoundBefore(Map.copyOf(taken), copy);
        }
    }

    private final Map<String, Integer> taken;
    private final Map<String, Map<Defect, Integer>> found;

    private FoundBefore(Map<String, Integer> taken, Map<String, Map<Defect, Integer>> found) {
        this.taken = taken;
        this.found = found;
    }

    /** In how many services a part came off. */
    public int services(String part) {
        return taken.getOrDefault(part, 0);
    }

    /** Codes of the parts of which something can be said, the oftenest found first. */
    public List<String> parts() {
        return found.keySet().stream()
                .filter(p -> on(p).isPresent())
                .sorted(Comparator.comparingInt((String p) -> -most(p)).thenComparing(Comparator.naturalOrder()))
                .toList();
    }

    private int most(String part) {
        return found.getOrDefault(part, Map.of()).values().stream()
                .mapToInt(Integer::intValue)
                .max()
                .orElse(0);
    }

    /** "scored in 4 of 7, cracked in 1"; nothing when it was sound, or came off too seldom to say. */
    public Optional<String> on(String part) {
        int of = services(part);
        String words = found.getOrDefault(part, Map.of()).entrySet().stream()
                .filter(e -> e.getValue() > 0)
                .sorted(Map.Entry.<Defect, Integer>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .map(e -> words(e.getKey()) + " in " + e.getValue() + " of " + of)
                .collect(Collectors.joining(", "));
        return of < FEWEST_SERVICES || words.isEmpty() ? Optional.empty() : Optional.of(words);
    }

    private static String words(Defect defect) {
        return switch (defect) {
            case OTHER -> "to be mended";
            case ABSENT -> "missing";
            default -> defect.name().toLowerCase(Locale.ROOT).replace('_', ' ');
        };
    }
}
