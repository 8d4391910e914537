/**
 * The ladder: a service as rungs from top to bottom, left end filled when off, right end when on again, earlier rounds as
 * closed spines beside it; shared by the strip and the climb. Leans on core and format.
 */
@NullMarked
package escrel.web.ladder;

import org.jspecify.annotations.NullMarked;
