/**
 * What may come off now, in which order, and the way in to one part; what a step would break, with the reason. The way
 * up is {@code assembly}. Leans on calibre, condition and service.
 */
@NullMarked
package escrel.core.teardown;

import org.jspecify.annotations.NullMarked;
