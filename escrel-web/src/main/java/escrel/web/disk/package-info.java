/** Files handled so that they are there after the power failed. Leans on nothing. */
@NullMarked
package escrel.web.disk;

import org.jspecify.annotations.NullMarked;
