package escrel.core.service;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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
     * @throws IllegalArgumentException when the numbers do not run 1, 2, 3 …, or a step takes back or corrects itself, a
     *     later one or, correcting it, one of another kind
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
            if (entry.step() instanceof Corrected corrected) {
                requireCorrectable(corrected, expected, steps);
            }
            expected++;
        }
        BitSet takenBack = takenBack(steps);
        Map<Integer, Step> corrected = new HashMap<>();
        List<RecordedStep> counting = new ArrayList<>();
        for (RecordedStep entry : steps) {
            if (takenBack.get(entry.sequence()) || entry.step() instanceof TakenBack) {
                continue;
            }
            counting.add(entry);
            if (entry.step() instanceof Corrected correction) {
                corrected.put(correction.sequence(), correction.step());
            }
        }
        if (!corrected.isEmpty()) {
            counting.replaceAll(e -> {
                Step otherwise = corrected.get(e.sequence());
                return otherwise == null ? e : new RecordedStep(e.sequence(), e.at(), otherwise);
            });
        }
        return new StepSequence(List.copyOf(steps), List.copyOf(counting));
    }

    private static void requireCorrectable(Corrected corrected, int at, List<RecordedStep> steps) {
        boolean before = corrected.sequence() >= 1 && corrected.sequence() < at;
        if (!before
                || steps.get(corrected.sequence() - 1).step().getClass()
                        != corrected.step().getClass()) {
            throw new IllegalArgumentException("step " + at + " corrects step " + corrected.sequence()
                    + ", which does not come before it or is of another kind");
        }
    }

    /** From the last to the first: a taking-back that was itself taken back takes nothing back, and its step counts again. */
    private static BitSet takenBack(List<RecordedStep> steps) {
        BitSet takenBack = new BitSet();
        for (int i = steps.size() - 1; i >= 0; i--) {
            RecordedStep entry = steps.get(i);
            if (entry.step() instanceof TakenBack back && !takenBack.get(entry.sequence())) {
                takenBack.set(back.sequence());
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
