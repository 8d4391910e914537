/**
 * Timing, in rooms: {@code readings} hold rate, amplitude and beat error per position with their doubt; {@code sound},
 * {@code beats} and {@code acoustics} make them from what is heard; {@code comparison} sets before against after. Nothing
 * lies here itself.
 */
@NullMarked
package escrel.core.timing;

import org.jspecify.annotations.NullMarked;
