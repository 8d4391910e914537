/** Arrival: a job is opened, the watch as it came is recorded, the calibre bound, photos added. */
@NullMarked
package escrel.web.arrival;

import org.jspecify.annotations.NullMarked;
