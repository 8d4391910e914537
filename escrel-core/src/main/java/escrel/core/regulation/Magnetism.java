package escrel.core.regulation;

import escrel.core.service.JobHistory;
import escrel.core.timing.readings.CompassTried;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.Source;
import java.util.Optional;
import java.util.stream.Collectors;

/** What the compass told and what the demagnetiser did, in order. */
public final class Magnetism {
    private Magnetism() {}

    /** In one line: "the needle follows strongly → demagnetised in 3 passes → …"; nothing when neither was at hand. */
    public static Optional<String> told(JobHistory history) {
        String told = history.counting().stream()
                .map(s -> s.step() instanceof CompassTried compass
                        ? needle(compass)
                        : s.step() instanceof Demagnetised done ? "demagnetised in " + done.passes() + " passes" : "")
                .filter(words -> !words.isEmpty())
                .collect(Collectors.joining(" → "));
        return told.isEmpty() ? Optional.empty() : Optional.of(told);
    }

    /** Whether the compass told, when it was tried last, that the watch is magnetised. */
    public static boolean isThere(JobHistory history) {
        return history.last(CompassTried.class)
                .filter(c -> c.follows().isMagnetised())
                .isPresent();
    }

    private static String needle(CompassTried compass) {
        String how = switch (compass.follows()) {
            case NOT -> "the needle does not follow";
            case SLIGHTLY -> "the needle follows slightly";
            case STRONGLY -> "the needle follows strongly";
        };
        return how + (compass.source() == Source.SIMULATED ? " (simulated compass)" : "");
    }
}
