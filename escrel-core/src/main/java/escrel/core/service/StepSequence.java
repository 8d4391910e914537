package escrel.core.service;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Steps as they were recorded, numbered without gaps and only ever added, and those of them that count: one taken back no
 * longer does, and stays on record. A job is one such sequence, the log of the workshop another.
 */
public final class StepSequence {
    private final List<RecordedStep> recorded;
    private final List<RecordedStep> counting;

    private StepSequence(List<RecordedStep> recorded, List<RecordedStep> counting) {
        this.recorded = recorded;
        this.counting = counting;
    }

    /**
     * A sequence from its steps.
     *
     * @throws IllegalArgumentException when the numbers do not run 1, 2, 3 … or a step takes back itself or a later one
     */
    public static StepSequence of(List<RecordedStep> steps) {
        int expected = 1;
        for (RecordedStep entry : steps) {
            if (entry.sequence() != expected) {
                throw new IllegalArgumentException(
                        "step " + expected + " is missing: found " + entry.sequence() + " in its place");
            }
            if (entry.step() instanceof TakenBack back) {
                if (back.sequence() < 1 || back.sequence() >= expected) {
                    throw new IllegalArgumentException("step " + expected + " takes back step " + back.sequence()
                            + ", which does not come before it");
                }
            }
            expected++;
        }
        Set<Integer> takenBack = takenBack(steps);
        List<RecordedStep> counting = steps.stream()
                .filter(e -> !takenBack.contains(e.sequence()) && !(e.step() instanceof TakenBack))
                .toList();
        return new StepSequence(List.copyOf(steps), counting);
    }

    /** From the last to the first: a taking-back that was itself taken back takes nothing back, and its step counts again. */
    private static Set<Integer> takenBack(List<RecordedStep> steps) {
        Set<Integer> takenBack = new HashSet<>();
        for (int i = steps.size() - 1; i >= 0; i--) {
            RecordedStep entry = steps.get(i);
            if (entry.step() instanceof TakenBack back && !takenBack.contains(entry.sequence())) {
                takenBack.add(back.sequence());
            }
        }
        return takenBack;
    }

    /** Everything ever recorded, corrections included. */
    public List<RecordedStep> recorded() {
        return recorded;
    }

    /** The steps that count, in order. */
    public List<RecordedStep> counting() {
        return counting;
    }

    /** The counting step of this number that may be taken back. */
    public Optional<RecordedStep> revocable(int sequence) {
        return counting.stream()
                .filter(e -> e.sequence() == sequence && e.step().canBeTakenBack())
                .findFirst();
    }

    /** Number of the last step recorded, 0 when there is none. */
    public int lastSequence() {
        return recorded.isEmpty() ? 0 : recorded.get(recorded.size() - 1).sequence();
    }
}
