/**
 * What a set of readings says as a whole, what is good enough, and whether before and after differ beyond the noise.
 * Causes are not found here. Leans on readings and calibre.
 */
@NullMarked
package escrel.core.timing.comparison;

import org.jspecify.annotations.NullMarked;
