/** Sound kept with a job, the clocks of the devices it came through, and what was heard as drawn. Leans on storage. */
@NullMarked
package escrel.web.sound;

import org.jspecify.annotations.NullMarked;
