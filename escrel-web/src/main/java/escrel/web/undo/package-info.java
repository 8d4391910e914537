/** Taking back and doing again in the rooms that are plain pages; the bench does it within itself. */
@NullMarked
package escrel.web.undo;

import org.jspecify.annotations.NullMarked;
