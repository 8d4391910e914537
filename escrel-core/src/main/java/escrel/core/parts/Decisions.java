package escrel.core.parts;

import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import java.util.HashMap;
import java.util.Map;

/** The last decision about each finding, with the sequence at which it was taken. */
final class Decisions {
    private final Map<String, Decided> last = new HashMap<>();
    private final Map<String, Integer> at = new HashMap<>();

    private Decisions() {}

    static Decisions of(JobHistory history) {
        Decisions decisions = new Decisions();
        for (RecordedStep entry : history.counting(Decided.class)) {
            if (entry.step() instanceof Decided decided) {
                decisions.last.put(decided.finding(), decided);
                decisions.at.put(decided.finding(), entry.sequence());
            }
        }
        return decisions;
    }

    /** The finding with its decision. */
    Finding put(Finding f) {
        Decided decided = last.get(f.key());
        return decided == null ? f : f.decided(decided, at.getOrDefault(f.key(), 0));
    }
}
