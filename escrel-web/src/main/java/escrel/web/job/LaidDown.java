package escrel.web.job;

import escrel.core.service.CalibreBound;
import escrel.core.service.Step;
import escrel.core.timing.comparison.Layings;
import escrel.core.timing.comparison.Repeatability;
import escrel.core.timing.readings.DidNotRun;
import escrel.core.timing.readings.Intervened;
import escrel.core.timing.readings.ReadingTaken;
import escrel.web.storage.LaidMapper;
import java.util.Set;
import org.springframework.stereotype.Component;

/** How well watches are laid down in this workshop, from the repeated readings of all its jobs. Written with their steps. */
@Component
public class LaidDown {
    /** Kinds of step that say or change which readings repeat each other; a binding brings the lift angle. */
    static final Set<Class<? extends Step>> FROM =
            Set.of(ReadingTaken.class, DidNotRun.class, Intervened.class, CalibreBound.class);

    private final LaidMapper mapper;

    LaidDown(LaidMapper mapper) {
        this.mapper = mapper;
    }

    /** The workshop's own repeatability, the default where it has too few repeats. */
    public Repeatability repeatability() {
        return Repeatability.of(mapper.all().layings());
    }

    void write(OpenJob job) {
        Layings laid = Layings.of(job.readings());
        if (laid.equals(Layings.NONE)) {
            mapper.drop(job.number());
        } else {
            mapper.put(job.number(), laid);
        }
    }

    void clear() {
        mapper.clear();
    }
}
