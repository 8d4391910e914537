package escrel.core.job;

import escrel.core.service.Corrected;
import escrel.core.service.JobHistory;
import escrel.core.service.LeftOut;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Whether a correction would make a later step impossible: a part put on that is not off, or taken off twice. */
public final class Correction {
    private Correction() {}

    /**
     * The first later step that could not have happened if the corrected one were so; nothing when all could. What was
     * odd before already is not held against the correction.
     *
     * @param job as it stands
     * @param correction of one of its counting steps
     */
    public static Optional<RecordedStep> firstImpossible(Job job, Corrected correction) {
        JobHistory history = job.history();
        Set<Integer> before = impossible(history.counting());
        JobHistory then = history.and(List.of(new RecordedStep(
                history.lastSequence() + 1,
                history.recorded().get(history.recorded().size() - 1).at(),
                correction)));
        Set<Integer> after = impossible(then.counting());
        return then.counting().stream()
                .filter(e -> after.contains(e.sequence()) && !before.contains(e.sequence()))
                .findFirst();
    }

    private static Set<Integer> impossible(List<RecordedStep> counting) {
        Set<String> off = new HashSet<>();
        Set<Integer> found = new HashSet<>();
        for (RecordedStep entry : counting) {
            Step step = entry.step();
            String empty = step.emptyHome();
            if (empty != null) {
                off.add(empty);
            }
            if (step instanceof PartOff taken && !off.add(taken.part())) {
                found.add(entry.sequence());
            } else if (step instanceof PartOn on && !off.remove(on.part())) {
                found.add(entry.sequence());
            } else if (step instanceof LeftOut out && !off.contains(out.part())) {
                found.add(entry.sequence());
            }
        }
        return found;
    }
}
