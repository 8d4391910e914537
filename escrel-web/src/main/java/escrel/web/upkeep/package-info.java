/** What the workshop's folder needs: backups, by themselves or asked for, a new base, the clean-up of media. Its page is in safe. */
@NullMarked
package escrel.web.upkeep;

import org.jspecify.annotations.NullMarked;
