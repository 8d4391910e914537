package escrel.core.lubrication;

import escrel.core.calibre.OilPoint;
import escrel.core.service.JobHistory;
import escrel.core.teardown.TeardownState;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Which lubrication points are due, done or left out. A point is due when its part came off in this service. */
public final class LubricationState {
    private final TeardownState teardown;
    private final Map<String, Oiled> done = new HashMap<>();
    private final Map<String, OilSkipped> skipped = new HashMap<>();

    private LubricationState(TeardownState teardown) {
        this.teardown = teardown;
    }

    /** The state after these steps; the later of oiling and leaving out counts. */
    public static LubricationState of(TeardownState teardown, JobHistory history) {
        LubricationState state = new LubricationState(teardown);
        history.counting().forEach(entry -> {
            if (entry.step() instanceof Oiled oiled) {
                state.done.put(oiled.point(), oiled);
                state.skipped.remove(oiled.point());
            } else if (entry.step() instanceof OilSkipped skip) {
                state.skipped.put(skip.point(), skip);
                state.done.remove(skip.point());
            }
        });
        return state;
    }

    /** Points whose part came off, in the order of the sheet. */
    public List<OilPoint> due() {
        return teardown.sheet().oilPoints().stream()
                .filter(p -> teardown.wasOff(p.part()))
                .toList();
    }

    /** Points that are due and neither done nor left out. */
    public List<OilPoint> open() {
        return due().stream().filter(p -> !isSettled(p.code())).toList();
    }

    /** Whether a point was done or left out. */
    public boolean isSettled(String point) {
        return done.containsKey(point) || skipped.containsKey(point);
    }

    /** How a point was lubricated, if it was. */
    public Optional<Oiled> oiled(String point) {
        return Optional.ofNullable(done.get(point));
    }

    /** Why a point was left out, if it was. */
    public Optional<OilSkipped> skipped(String point) {
        return Optional.ofNullable(skipped.get(point));
    }
}
