package escrel.web.storage;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;

/**
 * A row of the table of jobs; what repeats the steps is there for lists.
 *
 * @param identity what it is called wherever its file goes
 * @param dueAt when its clock runs out, nothing while none runs
 */
public record JobRow(
        int number,
        OffsetDateTime openedAt,
        OffsetDateTime changedAt,
        int lastSequence,
        String watch,
        String owner,
        @Nullable String calibre,
        @Nullable Integer sheetVersion,
        String stage,
        String nextAct,
        @Nullable OffsetDateTime dueAt,
        @Nullable String dueWords,
        String identity) {}
