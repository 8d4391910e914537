package escrel.core.service;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Steps as they were recorded, numbered without gaps and only ever added, and those of them that count: one taken back no
 * longer does, and stays on record. A job is one such sequence, the log of the workshop another.
 */
public final class StepSequence {
    // an act is a handful of steps, and what it takes back as many
    private static final int FEW = 50;

    private final List<RecordedStep> recorded;
    private final List<RecordedStep> counting;
    /** Which step each takes back, 0 for what takes none back. */
    private final int[] takes;

    private final BitSet takenBack;
    private final boolean corrected;
    private volatile @Nullable StepKinds kinds;

    private StepSequence(
            List<RecordedStep> recorded,
            List<RecordedStep> counting,
            int[] takes,
            BitSet takenBack,
            boolean corrected,
            @Nullable StepKinds kinds) {
        this.recorded = Collections.unmodifiableList(recorded);
        this.counting = Collections.unmodifiableList(counting);
        this.takes = takes;
        this.takenBack = takenBack;
        this.corrected = corrected;
        this.kinds = kinds;
    }

    /**
     * A sequence from its steps.
     *
     * @throws IllegalArgumentException when the numbers do not run 1, 2, 3 …, or a step takes back or corrects itself, a
     *     later one or, correcting it, one of another kind
     */
    public static StepSequence of(List<RecordedStep> steps) {
        List<RecordedStep> all = List.copyOf(steps);
        requireSound(all, 0);
        int[] takes = takes(all, new int[0]);
        BitSet takenBack = takenBack(takes);
        Map<Integer, Step> corrected = new HashMap<>();
        List<RecordedStep> counting = new ArrayList<>();
        for (RecordedStep entry : all) {
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
        return new StepSequence(all, counting, takes, takenBack, anyCorrects(all), null);
    }

    /**
     * This sequence and what was recorded since. What it was is not looked at again, but for what is taken back now or counts
     * again: of thousands of other steps only the lists in which they stand are copied.
     *
     * @throws IllegalArgumentException as {@link #of}
     */
    public StepSequence and(List<RecordedStep> later) {
        List<RecordedStep> all = new ArrayList<>(recorded.size() + later.size());
        all.addAll(recorded);
        all.addAll(later);
        if (corrected || anyCorrects(later)) {
            return of(all);
        }
        requireSound(all, recorded.size());
        int[] takesNow = takes(all, takes);
        BitSet takenBackNow = takenBack(takesNow);
        BitSet changed = (BitSet) takenBack.clone();
        changed.xor(takenBackNow);
        changed.set(recorded.size() + 1, all.size() + 1);
        List<RecordedStep> countingNow = new ArrayList<>(counting);
        // a whole job that comes in at once is parted by kind as one is that was read
        StepKinds kindsNow = changed.cardinality() > FEW ? null : kinds;
        for (int sequence = changed.nextSetBit(0); sequence >= 0; sequence = changed.nextSetBit(sequence + 1)) {
            RecordedStep entry = all.get(sequence - 1);
            if (!(entry.step() instanceof TakenBack)) {
                boolean counts = !takenBackNow.get(sequence);
                StepKinds.put(countingNow, entry, counts);
                kindsNow = kindsNow == null ? null : kindsNow.with(entry, counts);
            }
        }
        return new StepSequence(all, countingNow, takesNow, takenBackNow, false, kindsNow);
    }

    /** Refuses what is not sound from some place on; what comes before it was looked at before. */
    private static void requireSound(List<RecordedStep> steps, int from) {
        for (int i = from; i < steps.size(); i++) {
            RecordedStep entry = steps.get(i);
            int expected = i + 1;
            if (entry.sequence() != expected) {
                throw new IllegalArgumentException(
                        "step " + expected + " is missing: found " + entry.sequence() + " in its place");
            }
            if (entry.step() instanceof TakenBack back && (back.sequence() < 1 || back.sequence() >= expected)) {
                throw new IllegalArgumentException(
                        "step " + expected + " takes back step " + back.sequence() + ", which does not come before it");
            }
            if (entry.step() instanceof Corrected corrected) {
                requireCorrectable(corrected, expected, steps);
            }
        }
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

    private static boolean anyCorrects(List<RecordedStep> steps) {
        return steps.stream().anyMatch(entry -> entry.step() instanceof Corrected);
    }

    private static int[] takes(List<RecordedStep> steps, int[] known) {
        int[] takes = Arrays.copyOf(known, steps.size());
        for (int i = known.length; i < takes.length; i++) {
            takes[i] = steps.get(i).step() instanceof TakenBack back ? back.sequence() : 0;
        }
        return takes;
    }

    /** From the last to the first: a taking-back that was itself taken back takes nothing back, and its step counts again. */
    private static BitSet takenBack(int[] takes) {
        BitSet takenBack = new BitSet(takes.length + 1);
        for (int i = takes.length - 1; i >= 0; i--) {
            if (takes[i] > 0 && !takenBack.get(i + 1)) {
                takenBack.set(takes[i]);
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

    /** The steps of one kind that count, in order. */
    public List<RecordedStep> counting(Class<? extends Step> kind) {
        return kinds().all(kind);
    }

    /** The steps of some kinds that count, in order. */
    @SafeVarargs
    public final List<RecordedStep> counting(Class<? extends Step>... some) {
        return kinds().all(some);
    }

    private StepKinds kinds() {
        StepKinds known = kinds;
        if (known == null) {
            known = StepKinds.of(counting);
            kinds = known;
        }
        return known;
    }

    /** Whether the step of this number counts: it was recorded, was not taken back, and takes nothing back itself. */
    public boolean counts(int sequence) {
        return sequence >= 1 && sequence <= takes.length && takes[sequence - 1] == 0 && !takenBack.get(sequence);
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
