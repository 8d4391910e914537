/** Calibres: the library of sheets, looked at, edited, begun, taken in and given out. */
@NullMarked
package escrel.web.calibres;

import org.jspecify.annotations.NullMarked;
