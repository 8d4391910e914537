package escrel.core.learning;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.service.Happened;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What went wrong in a service, as a trap the next one is warned of. */
public final class Mishaps {
    /** Begins the key of each. */
    public static final String KEY = "TRAP:";

    /**
     * A trap that a mishap showed.
     *
     * @param key of the step that recorded it; stays the same while the job does
     * @param part code of the part
     * @param words as it would stand on a sheet
     */
    public record Trap(String key, String part, String words) {}

    private Mishaps() {}

    /** The traps of a job, first happened first; parts the sheet has not got are left aside. */
    public static List<Trap> in(JobHistory history, CalibreSheet sheet) {
        List<Trap> traps = new ArrayList<>();
        for (RecordedStep entry : history.counting()) {
            if (entry.step() instanceof Happened event) {
                sheet.part(event.part())
                        .flatMap(part -> words(part, event))
                        .ifPresent(words -> traps.add(new Trap(KEY + entry.sequence(), event.part(), words)));
            }
        }
        return List.copyOf(traps);
    }

    private static Optional<String> words(Part part, Happened event) {
        String how = event.words().isBlank() ? "" : ": " + event.words();
        return switch (event.what()) {
            case LOST -> Optional.of(part.name() + " flew" + how + ". Hold it down.");
            case DAMAGED_NOW -> Optional.of(part.name() + " was damaged here once" + how + ".");
            case TAKEN_APART ->
                Optional.of(part.name() + " stays together; it was taken apart here by mistake" + how + ".");
            case WRONG_WAY_ROUND -> Optional.of(part.name() + " goes on the wrong way round, too" + how + ".");
            case FOUND_LOOSE, FOUND_AGAIN -> Optional.empty();
        };
    }
}
