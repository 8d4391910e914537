/** Calibres: the library of sheets, looked at, changed on their plan or in tables, begun, taken over from a family, taken in
 * and given out. */
@NullMarked
package escrel.web.calibres;

import org.jspecify.annotations.NullMarked;
