/**
 * The way down and the way in as they stand in a job: what is off, what may come off now and in which order, what a step
 * would break, with the reason; what is said and asked before it, by the sheet or by the kind of part; and this workshop's own times. The rules themselves are
 * in {@code order}, the way up is {@code assembly}. Leans on order, school, calibre, condition and service.
 */
@NullMarked
package escrel.core.teardown;

import org.jspecify.annotations.NullMarked;
