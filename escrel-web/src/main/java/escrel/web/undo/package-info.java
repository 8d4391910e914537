/**
 * Taking back and doing again in the rooms that are plain pages; the bench does it within itself;
 * acts of the workshop by one door.
 */
@NullMarked
package escrel.web.undo;

import org.jspecify.annotations.NullMarked;
