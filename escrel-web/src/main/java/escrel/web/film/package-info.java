/** Photos of a job beside the plan as it was then, and the photograph that takes the plan's place. */
@NullMarked
package escrel.web.film;

import org.jspecify.annotations.NullMarked;
