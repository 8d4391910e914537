/**
 * What a set of readings says as a whole, what is good enough, whether before and after differ beyond the noise of
 * reading and of laying the watch down, how it runs in and down, and what a calibre showed before. Causes are not found here. Leans on readings and calibre.
 */
@NullMarked
package escrel.core.timing.comparison;

import org.jspecify.annotations.NullMarked;
