/**
 * What may come off now, in which order, and the way in to one part; what a step would break, with the reason; what is
 * said before it; the tray, and this workshop's own times. The way up is {@code assembly}, learning from orders
 * {@code learning}. Leans on school, calibre, condition and service.
 */
@NullMarked
package escrel.core.teardown;

import org.jspecify.annotations.NullMarked;
