package escrel.core.lubrication;

import escrel.core.calibre.LubricantClass;
import escrel.core.service.Step;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A bottle the workshop uses; the latest of its mark counts. Source: craft 5.
 *
 * @param id names it for good; no two workshops make the same
 * @param name what the workshop calls it, 1 to {@value #LONGEST} characters
 * @param batch as printed on it; may be empty
 * @param opened nothing while it is closed, or nobody said
 * @param useBy nothing where none is printed
 */
public record BottleKept(
        String id,
        LubricantClass lubricant,
        String name,
        String batch,
        @Nullable LocalDate opened,
        @Nullable LocalDate useBy)
        implements Step {
    /** Longest name or batch. */
    public static final int LONGEST = 80;

    public BottleKept {
        name = name == null ? "" : name.strip();
        batch = batch == null ? "" : batch.strip();
        if (id == null || id.isBlank() || name.isEmpty() || name.length() > LONGEST || batch.length() > LONGEST) {
            throw new IllegalArgumentException("A bottle has a name and a batch of at most " + LONGEST + " characters");
        }
        if (lubricant == LubricantClass.DRY) {
            throw new IllegalArgumentException("What stays dry comes from no bottle");
        }
        if (opened != null && useBy != null && useBy.isBefore(opened)) {
            throw new IllegalArgumentException("It was to be used by " + useBy + ", before it was opened on " + opened);
        }
    }

    /** As an act of oiling says it: "fine A, batch 12". */
    public String said() {
        return batch.isEmpty() ? name : name + ", batch " + batch;
    }
}
