/** Today: every job with its stage and its next act, and the list for other programs. Reads only. */
@NullMarked
package escrel.web.today;

import org.jspecify.annotations.NullMarked;
