package escrel.core.service;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The steps of a job in the order in which they were recorded, and those of them that count: a step taken back no
 * longer does.
 */
public final class JobHistory {
    private final List<RecordedStep> recorded;
    private final List<RecordedStep> counting;

    private JobHistory(List<RecordedStep> recorded) {
        this.recorded = List.copyOf(recorded);
        Set<Integer> takenBack = new HashSet<>();
        for (RecordedStep entry : this.recorded) {
            if (entry.step() instanceof TakenBack back) {
                takenBack.add(back.sequence());
            }
        }
        this.counting = this.recorded.stream()
                .filter(e -> !takenBack.contains(e.sequence()) && !(e.step() instanceof TakenBack))
                .toList();
    }

    /**
     * A history from its steps.
     *
     * @throws IllegalArgumentException when the sequence does not run 1, 2, 3 … or a step takes back a later one
     */
    public static JobHistory of(List<RecordedStep> steps) {
        int expected = 1;
        for (RecordedStep entry : steps) {
            if (entry.sequence() != expected) {
                throw new IllegalArgumentException(
                        "step " + expected + " is missing: found " + entry.sequence() + " in its place");
            }
            if (entry.step() instanceof TakenBack back && (back.sequence() < 1 || back.sequence() >= expected)) {
                throw new IllegalArgumentException(
                        "step " + expected + " takes back step " + back.sequence() + ", which does not come before it");
            }
            expected++;
        }
        return new JobHistory(steps);
    }

    /** A job in which nothing has been recorded. */
    public static JobHistory empty() {
        return new JobHistory(List.of());
    }

    /**
     * The same history with parts called by the codes of the sheet the job is bound to. Sequence and times stay, so a
     * page made from either sends back the same number.
     */
    public JobHistory inWordsOf(CalibreBound bound) {
        return bound.sameAs().isEmpty()
                ? this
                : of(recorded.stream()
                        .map(e ->
                                new RecordedStep(e.sequence(), e.at(), e.step().withParts(bound::onSheet)))
                        .toList());
    }

    /** This history as it stood right after a step. */
    public JobHistory upTo(int sequence) {
        return of(recorded.subList(0, Math.max(0, Math.min(sequence, recorded.size()))));
    }

    /** Everything ever recorded, corrections included. */
    public List<RecordedStep> recorded() {
        return recorded;
    }

    /** The steps that count, in order. */
    public List<RecordedStep> counting() {
        return counting;
    }

    /** The counting steps of one kind, in order. */
    public <S extends Step> Stream<S> all(Class<S> kind) {
        return counting.stream()
                .map(RecordedStep::step)
                .filter(kind::isInstance)
                .map(kind::cast);
    }

    /** The last counting step of one kind. */
    public <S extends Step> Optional<S> last(Class<S> kind) {
        return all(kind).reduce((a, b) -> b);
    }

    /** Sequence of the last step recorded, 0 for an empty history. What a page shows it was made from. */
    public int lastSequence() {
        return recorded.isEmpty() ? 0 : recorded.get(recorded.size() - 1).sequence();
    }

    /** The step that the undo key would take back: the last counting one that may be. */
    public Optional<RecordedStep> nextToTakeBack() {
        for (int i = counting.size() - 1; i >= 0; i--) {
            if (counting.get(i).step().canBeTakenBack()) {
                return Optional.of(counting.get(i));
            }
        }
        return Optional.empty();
    }

    /** This history with one more step. */
    public JobHistory with(RecordedStep next) {
        List<RecordedStep> more = new ArrayList<>(recorded);
        more.add(next);
        return of(more);
    }
}
