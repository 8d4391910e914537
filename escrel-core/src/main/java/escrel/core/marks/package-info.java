/** Marks on case, dial and movement: numbers, dates, repairers' marks; what of them agrees, differs, or cannot be told; in which
 * years whose numbers were given out. */
@NullMarked
package escrel.core.marks;

import org.jspecify.annotations.NullMarked;
