/** The log of a job: every step as it was recorded, and the correction of any of them. */
@NullMarked
package escrel.web.log;

import org.jspecify.annotations.NullMarked;
