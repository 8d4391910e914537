/** Luminous paint: what was counted over each item against the background, what follows from it, and the points of care. */
@NullMarked
package escrel.core.lume;

import org.jspecify.annotations.NullMarked;
