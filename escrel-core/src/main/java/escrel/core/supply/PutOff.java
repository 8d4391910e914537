package escrel.core.supply;

import escrel.core.service.Step;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * Another day was promised for an order.
 *
 * @param order sequence of the order
 * @param expected the day it is promised for now; nothing when nobody will say
 */
public record PutOff(int order, @Nullable LocalDate expected) implements Step {}
