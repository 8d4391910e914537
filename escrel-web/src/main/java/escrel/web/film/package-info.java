/** Photos of a job beside the plan as it was then, with arrows on them, in pairs of one place before and after, and the photograph that takes
 * the plan's place. */
@NullMarked
package escrel.web.film;

import org.jspecify.annotations.NullMarked;
