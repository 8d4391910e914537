/** What a teardown taught: the difference to the sheet, accepted line by line, and binding half-way down. */
@NullMarked
package escrel.web.learnt;

import org.jspecify.annotations.NullMarked;
