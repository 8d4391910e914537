package escrel.core.timing.readings;

import escrel.core.service.Step;

/** A position was read. A later reading of the same position in the same state takes the place of an earlier one. */
public record ReadingTaken(ReadingState state, Fitted fitted, Wound wound, Reading reading) implements Step {}
