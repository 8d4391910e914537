/**
 * Cleaning, part by part: what may go into the machine and what must not, what is still dirty. Leans on calibre and
 * teardown.
 */
@NullMarked
package escrel.core.cleaning;

import org.jspecify.annotations.NullMarked;
