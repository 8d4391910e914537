package escrel.core;

import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** Histories for tests: steps one minute apart. */
public final class Histories {
    private Histories() {}

    public static JobHistory of(Step... steps) {
        List<RecordedStep> recorded = new ArrayList<>();
        for (Step step : steps) {
            recorded.add(new RecordedStep(recorded.size() + 1, Instant.EPOCH.plusSeconds(60L * recorded.size()), step));
        }
        return JobHistory.of(recorded);
    }
}
