/** The parts desk over all jobs: what is waited for, since when, for which watch; suppliers, donors, stock, bottles. */
@NullMarked
package escrel.web.supply;

import org.jspecify.annotations.NullMarked;
