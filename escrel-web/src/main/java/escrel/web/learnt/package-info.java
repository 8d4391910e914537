/** What a teardown taught: the differences to the calibre's and to the case's sheet, each accepted line by line or at its mark on the plan, what went
 * wrong offered as a trap, and binding half-way down. */
@NullMarked
package escrel.web.learnt;

import org.jspecify.annotations.NullMarked;
