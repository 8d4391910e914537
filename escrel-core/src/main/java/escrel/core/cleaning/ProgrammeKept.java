package escrel.core.cleaning;

import escrel.core.clock.ClockStarted;
import escrel.core.clock.Timed.Stretch;
import escrel.core.service.Step;
import java.util.List;

/**
 * What the workshop's machine does with a load; the latest counts.
 *
 * @param name 1 to 80 characters
 * @param jars the jar of each stretch; empty for one that needs none
 * @param changeAfter soil from which on a jar is to be strained or changed, 1 to 1000
 */
public record ProgrammeKept(String name, List<Stretch> stretches, List<String> jars, int changeAfter) implements Step {
    /** Until the workshop says otherwise; times and limit are ours. */
    public static final ProgrammeKept USUAL = new ProgrammeKept(
            "wash, two rinses, dry",
            List.of(
                    new Stretch("wash", 8 * 60),
                    new Stretch("first rinse", 5 * 60),
                    new Stretch("second rinse", 5 * 60),
                    new Stretch("dry", 12 * 60)),
            List.of("wash", "first rinse", "second rinse", ""),
            12);

    public ProgrammeKept {
        stretches = ClockStarted.requireStretches(stretches);
        jars = List.copyOf(jars);
        name = name == null ? "" : name.strip();
        if (name.isEmpty() || name.length() > 80 || jars.size() != stretches.size()) {
            throw new IllegalArgumentException("A programme has a name and for each stretch a jar or none");
        }
        if (changeAfter < 1 || changeAfter > 1000) {
            throw new IllegalArgumentException("A jar is changed after a soil of 1 to 1000");
        }
    }
}
