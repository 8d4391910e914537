package escrel.core.workshop;

import escrel.core.service.RecordedStep;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * Which spellings mean the same owner, and which names the same watch. Merged by hand, taken back like any act of the
 * workshop; a merge of a merge holds, and a ring of merges ends where it began.
 */
public final class Spellings {
    private final Map<String, String> owners = new HashMap<>();
    private final Map<WatchName, WatchName> watches = new HashMap<>();

    private Spellings() {}

    /** The spellings after these acts; the latest merge of a spelling counts. */
    static Spellings of(List<RecordedStep> acts) {
        Spellings spellings = new Spellings();
        for (RecordedStep entry : acts) {
            if (entry.step() instanceof OwnersMerged merged) {
                // the one it is called by now is no spelling of another any more
                spellings.owners.remove(merged.into());
                spellings.owners.put(merged.from(), merged.into());
            } else if (entry.step() instanceof WatchesMerged merged) {
                spellings.watches.remove(merged.into());
                spellings.watches.put(merged.from(), merged.into());
            }
        }
        return spellings;
    }

    /** How an owner is called. */
    public String owner(String spelt) {
        return followed(spelt, owners::get);
    }

    /** How a watch is called, with its owner. */
    public WatchName watch(WatchName spelt) {
        WatchName merged = followed(spelt, watches::get);
        WatchName called = merged.of(owner(merged.owner()));
        // merged under a spelling of its owner that is the same by now
        return called.equals(merged) ? called : followed(called, watches::get);
    }

    private static <T> T followed(T from, Function<T, T> merged) {
        Set<T> seen = new HashSet<>();
        T now = from;
        T next = merged.apply(now);
        while (next != null && seen.add(now)) {
            now = next;
            next = merged.apply(now);
        }
        return now;
    }

    /** Every spelling of an owner, the one they are called by first. */
    public List<String> ofOwner(String spelt) {
        String called = owner(spelt);
        Set<String> all = new LinkedHashSet<>(List.of(called));
        owners.keySet().stream().filter(o -> owner(o).equals(called)).sorted().forEach(all::add);
        all.add(spelt);
        return List.copyOf(all);
    }

    /** Every name of a watch, the one it is called by first. */
    public List<WatchName> ofWatch(WatchName spelt) {
        WatchName called = watch(spelt);
        Set<WatchName> all = new LinkedHashSet<>();
        List<WatchName> names = new ArrayList<>(List.of(called, spelt));
        watches.keySet().stream().filter(w -> watch(w).equals(called)).forEach(names::add);
        for (WatchName name : names) {
            ofOwner(name.owner()).stream()
                    .map(name::of)
                    .filter(n -> watch(n).equals(called))
                    .forEach(all::add);
        }
        return List.copyOf(all);
    }
}
