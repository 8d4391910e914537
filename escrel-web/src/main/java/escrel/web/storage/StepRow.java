package escrel.web.storage;

import java.time.OffsetDateTime;

/** A row of the table of steps. */
public record StepRow(int job, int sequence, OffsetDateTime recordedAt, String kind, String body) {}
