/** What the workshop's folder needs without being asked: backups, a new base, the clean-up of media. Its page is in safe. */
@NullMarked
package escrel.web.upkeep;

import org.jspecify.annotations.NullMarked;
