package escrel.core.parts;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.service.JobHistory;
import escrel.core.service.OpenItem;
import escrel.core.service.RecordedStep;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What is and was suspected in a job, in the order in which it was opened. */
public final class Suspicions {
    /**
     * A suspicion.
     *
     * @param at sequence of the step that opened it
     * @param settled how it ended; nothing while it is open
     */
    public record Suspicion(
            int at,
            @Nullable String part,
            String words,
            @Nullable SuspicionSettled settled) {
        /** Whether nobody has looked yet. */
        public boolean isOpen() {
            return settled == null;
        }
    }

    private final List<Suspicion> all;

    private Suspicions(List<Suspicion> all) {
        this.all = List.copyOf(all);
    }

    /** The suspicions after these steps; one settled twice ended as was said last. */
    public static Suspicions of(JobHistory history) {
        Map<Integer, SuspicionSettled> settled = new HashMap<>();
        history.all(SuspicionSettled.class).forEach(s -> settled.put(s.suspicion(), s));
        List<Suspicion> all = new ArrayList<>();
        for (RecordedStep entry : history.counting(Suspected.class)) {
            if (entry.step() instanceof Suspected s) {
                all.add(new Suspicion(entry.sequence(), s.part(), s.words(), settled.get(entry.sequence())));
            }
        }
        return new Suspicions(all);
    }

    /** All of them. */
    public List<Suspicion> all() {
        return all;
    }

    /** Those nobody has looked at yet. */
    public List<Suspicion> open() {
        return all.stream().filter(Suspicion::isOpen).toList();
    }

    /** Open ones on a part. */
    public List<Suspicion> openOn(String part) {
        return open().stream().filter(s -> part.equals(s.part())).toList();
    }

    /** The open one with this number. */
    public Optional<Suspicion> open(int at) {
        return open().stream().filter(s -> s.at() == at).findFirst();
    }

    /** What of it stands open at the end. */
    List<OpenItem> items(CalibreSheet sheet) {
        return open().stream()
                .map(s -> new OpenItem(
                        "suspicion:" + s.at(),
                        s.part(),
                        "suspected: " + described(s, sheet),
                        OpenItem.Place.INSPECTION))
                .toList();
    }

    /** In words, with the part. */
    public static String described(Suspicion suspicion, CalibreSheet sheet) {
        String part = suspicion.part();
        return part == null
                ? suspicion.words()
                : sheet.part(part).map(Part::name).orElse(part) + ": " + suspicion.words();
    }
}
