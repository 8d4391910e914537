package escrel.web.desk;

import escrel.core.timing.comparison.Difference;
import escrel.core.timing.comparison.Repeatability;
import escrel.core.timing.comparison.Targets;
import escrel.core.timing.comparison.Turn;
import escrel.core.timing.readings.Position;
import escrel.web.job.OpenJob;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Says when a reading just taken lies so near the noise of its comparison that laying the watch down once more would settle it. */
final class LayAgain {
    private LayAgain() {}

    /** What is near, in a sentence; empty where nothing is, and where the position was laid down twice already. */
    static String words(OpenJob job, Position position, Repeatability hand) {
        return Turn.ofService(job.readings(), Targets.of(job.sheet()), hand)
                // the set the reading went into: one of before the service that comes late is no reading of after
                .filter(turn -> turn.after().lastAt() == job.sequence())
                .filter(turn -> turn.after().allIn(position).size() == 1)
                .flatMap(turn -> turn.lines().stream()
                        .filter(line -> line.position() == position)
                        .findFirst())
                .map(LayAgain::near)
                .filter(near -> !near.isEmpty())
                .map(near -> "Close to the noise: " + String.join(", ", near)
                        + " since before the service. Lay it down again (7) to be sure.")
                .orElse("");
    }

    private static List<String> near(Turn.Line line) {
        List<String> near = new ArrayList<>();
        add(near, "rate %+.1f ± %.1f s/d", line.rate());
        add(near, "amplitude %+.0f ± %.0f°", line.amplitude());
        add(near, "beat error %+.2f ± %.2f ms", line.beatError());
        return near;
    }

    private static void add(List<String> near, String form, @Nullable Difference difference) {
        if (difference != null && difference.isNearTheNoise()) {
            near.add(String.format(
                            Locale.ENGLISH,
                            form,
                            difference.change(),
                            Difference.STANDARD_ERRORS * difference.standardError())
                    .replace('-', '−'));
        }
    }
}
