package escrel.core.cleaning;

import escrel.core.calibre.Part;
import escrel.core.calibre.Wash;
import escrel.core.service.JobHistory;
import escrel.core.teardown.TeardownState;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Which of the parts that came off are clean, and how each may be cleaned. */
public final class CleaningState {
    private final TeardownState teardown;
    private final Map<String, Wash> done = new HashMap<>();

    private CleaningState(TeardownState teardown) {
        this.teardown = teardown;
    }

    /** The state after these steps. */
    public static CleaningState of(TeardownState teardown, JobHistory history) {
        CleaningState state = new CleaningState(teardown);
        history.all(Washed.class).forEach(w -> w.parts().forEach(p -> state.done.put(p, w.way())));
        return state;
    }

    /** How this part was cleaned, if it was. */
    public Optional<Wash> wayOf(String part) {
        return Optional.ofNullable(done.get(part));
    }

    /** Parts that came off and are not clean yet, in the order in which they came off. */
    public List<Part> due() {
        return teardown.order().stream()
                .filter(code -> !done.containsKey(code))
                .map(teardown.sheet()::requirePart)
                .filter(p -> !p.isPowerDown())
                .toList();
    }

    /** Of what is due, the parts that go together in this way. */
    public List<Part> due(Wash way) {
        return due().stream().filter(p -> p.wash() == way).toList();
    }

    /** Of these parts, the ones that must not be cleaned in this way: dipping or hand work never hurts, the machine may. */
    public List<Part> notFor(Wash way, List<String> parts) {
        return parts.stream()
                .map(teardown.sheet()::requirePart)
                .filter(p -> way == Wash.MACHINE && p.wash() != Wash.MACHINE)
                .toList();
    }
}
