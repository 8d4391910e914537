/**
 * Putting the movement in beat: how far the impulse jewel stands off and which way to turn what. Leans on quantity.
 */
@NullMarked
package escrel.core.regulation;

import org.jspecify.annotations.NullMarked;
