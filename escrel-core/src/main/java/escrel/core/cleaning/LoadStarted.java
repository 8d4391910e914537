package escrel.core.cleaning;

import escrel.core.clock.ClockStarted;
import escrel.core.clock.Timed;
import java.util.List;

/**
 * Baskets of a job went into the machine.
 *
 * @param programme name of the programme
 * @param number of the job
 * @param parts codes of what lies in them, at least one
 * @param soil how dirty they were, 1 and more: see {@link Soil}
 * @param jars the jar of each stretch; empty for one that needs none, as drying
 */
public record LoadStarted(
        String id,
        String programme,
        int number,
        List<String> parts,
        int soil,
        List<Stretch> stretches,
        List<String> jars)
        implements Timed {
    public LoadStarted {
        parts = List.copyOf(parts);
        jars = List.copyOf(jars);
        stretches = ClockStarted.requireStretches(stretches);
        if (id == null || id.isBlank() || parts.isEmpty() || soil < 1 || soil > 9 || jars.size() != stretches.size()) {
            throw new IllegalArgumentException(
                    "A load has parts, a soil of 1 to 9 and for each stretch of its programme a jar or none");
        }
    }

    @Override
    public String words() {
        return programme;
    }

    @Override
    public Integer job() {
        return number;
    }
}
