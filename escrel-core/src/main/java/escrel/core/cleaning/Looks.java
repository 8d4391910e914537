package escrel.core.cleaning;

import escrel.core.calibre.Part;
import escrel.core.condition.Grade;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Judged;
import escrel.core.parts.Looked;
import escrel.core.service.JobHistory;
import escrel.core.service.Lives;
import escrel.core.service.PartOff;
import escrel.core.service.RecordedStep;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What each part looked like, dirty and again clean: dirt hides cracks, and cleaning reveals them. The present look is of
 * the clean parts that owe one, else of what nobody judged yet. Source: craft 2.9.
 */
public final class Looks {
    /** From the best to the worst; what cannot be told yet says least. */
    private static final List<Grade> WORSE =
            List.of(Grade.NOT_JUDGED, Grade.AS_NEW, Grade.GOOD, Grade.WORN, Grade.MEND, Grade.BROKEN, Grade.MISSING);

    private final Map<String, Grade> dirty = new HashMap<>();
    private final Map<String, Grade> clean = new HashMap<>();
    private final Set<String> washed = new HashSet<>();
    private final Set<Integer> sawClean = new HashSet<>();
    private final List<Part> owed;
    private final boolean second;

    private Looks(Lives lives, JobHistory history, CleaningState cleaning) {
        history.counting(PartOff.class, CopyAtHand.class, Washed.class, Judged.class, Looked.class, FindingRaised.class)
                .forEach(this::take);
        List<Part> again = cleaning.toLookAt();
        second = !again.isEmpty();
        owed = second
                ? again
                : lives.sheet().homes().stream()
                        .filter(p -> !dirty.containsKey(p.code()) && !clean.containsKey(p.code()))
                        .toList();
    }

    /** What was seen after these steps. */
    public static Looks of(Lives lives, JobHistory history, CleaningState cleaning) {
        return new Looks(lives, history, cleaning);
    }

    private void take(RecordedStep entry) {
        if (entry.step() instanceof PartOff off) {
            // off again: it ran, and is looked at anew
            washed.remove(off.part());
            clean.remove(off.part());
            dirty.put(off.part(), off.asFound());
        } else if (entry.step() instanceof CopyAtHand copy) {
            washed.add(copy.part());
            clean.remove(copy.part());
        } else if (entry.step() instanceof Washed wash) {
            wash.parts().forEach(p -> {
                washed.add(p);
                clean.remove(p);
            });
        } else if (entry.step() instanceof Judged judged) {
            judged.parts().forEach(p -> seen(p, judged.grade()));
        } else if (entry.step() instanceof Looked looked) {
            looked.parts().forEach(p -> seen(p, Grade.GOOD));
        } else if (entry.step() instanceof FindingRaised raised && raised.part() != null) {
            if (washed.contains(raised.part())) {
                sawClean.add(entry.sequence());
            }
            seen(raised.part(), raised.grade());
        }
    }

    /** The worse of two grades; what cannot be told yet says least. */
    public static Grade worse(Grade one, Grade other) {
        return WORSE.indexOf(one) >= WORSE.indexOf(other) ? one : other;
    }

    /** Of what was seen in one look the worst stands: a good part with a cracked jewel is one to decide about. */
    private void seen(String part, Grade grade) {
        (washed.contains(part) ? clean : dirty).merge(part, grade, Looks::worse);
    }

    /** How it looked before it was cleaned; nothing when nobody judged it. */
    public @Nullable Grade dirty(String part) {
        return dirty.get(part);
    }

    /** How it looked clean; nothing when nobody looked since. */
    public @Nullable Grade clean(String part) {
        return clean.get(part);
    }

    /** Whether it was rinsed, or is another copy, since it came off. */
    public boolean isClean(String part) {
        return washed.contains(part);
    }

    /** Whether the finding of this step was seen on a clean part: what cleaning revealed. */
    public boolean sawClean(int sequence) {
        return sawClean.contains(sequence);
    }

    /** Whether the present look is of clean parts. */
    public boolean isSecond() {
        return second;
    }

    /** The parts of the present look nobody judged yet: what could not be told dirty first, then as they came off or as the sheet has them. */
    public List<Part> owed() {
        return new ArrayList<>(owed);
    }
}
