/**
 * Timing, in three rooms: {@code readings} hold rate, amplitude and beat error per position with their doubt;
 * {@code acoustics} turns sound into them; {@code comparison} sets before against after. Nothing lies here itself.
 */
@NullMarked
package escrel.core.timing;

import org.jspecify.annotations.NullMarked;
