/** The clocks of the bench: on every page, and as a page of their own. */
@NullMarked
package escrel.web.clocks;

import org.jspecify.annotations.NullMarked;
