package escrel.core.service;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The counting steps of a sequence by their kind, each kind in order: who wants a few of thousands need not look at them all.
 * Immutable.
 */
final class StepKinds {
    private static final Comparator<RecordedStep> IN_ORDER = Comparator.comparingInt(RecordedStep::sequence);

    private final Map<Class<?>, List<RecordedStep>> byKind;

    private StepKinds(Map<Class<?>, List<RecordedStep>> byKind) {
        this.byKind = byKind;
    }

    static StepKinds of(List<RecordedStep> counting) {
        Map<Class<?>, List<RecordedStep>> byKind = new HashMap<>();
        for (RecordedStep entry : counting) {
            byKind.computeIfAbsent(entry.step().getClass(), k -> new ArrayList<>())
                    .add(entry);
        }
        return new StepKinds(byKind);
    }

    /** These kinds with one step more or less; only the list of its kind is made anew. */
    StepKinds with(RecordedStep entry, boolean counts) {
        Map<Class<?>, List<RecordedStep>> changed = new HashMap<>(byKind);
        List<RecordedStep> own =
                new ArrayList<>(changed.getOrDefault(entry.step().getClass(), List.of()));
        put(own, entry, counts);
        changed.put(entry.step().getClass(), own);
        return new StepKinds(changed);
    }

    /** Puts a step into a list where it belongs, or takes it out of it. */
    static void put(List<RecordedStep> inOrder, RecordedStep entry, boolean counts) {
        int at = Collections.binarySearch(inOrder, entry, IN_ORDER);
        if (at < 0 && counts) {
            inOrder.add(-at - 1, entry);
        } else if (at >= 0 && !counts) {
            inOrder.remove(at);
        }
    }

    /** The steps of one kind. */
    List<RecordedStep> all(Class<?> kind) {
        return Collections.unmodifiableList(byKind.getOrDefault(kind, List.of()));
    }

    /** The steps of some kinds, in the order in which they were recorded. */
    List<RecordedStep> all(Class<?>[] kinds) {
        List<RecordedStep> all = new ArrayList<>();
        for (Class<?> kind : kinds) {
            all.addAll(byKind.getOrDefault(kind, List.of()));
        }
        all.sort(IN_ORDER);
        return all;
    }
}
