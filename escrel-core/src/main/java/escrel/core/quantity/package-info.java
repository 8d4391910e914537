/**
 * Quantities of the bench as small final values with their unit in the name, and {@link escrel.core.quantity.Measured}:
 * a value with its doubt and its source. Not here: what counts as good (timing, comparison). Leans on nothing.
 */
@NullMarked
package escrel.core.quantity;

import org.jspecify.annotations.NullMarked;
