/** Washing: what goes into the machine together, what must not, what is clean. */
@NullMarked
package escrel.web.washing;

import org.jspecify.annotations.NullMarked;
