/** Readings: typed, as ranges, from recordings, or none because the watch does not run. */
@NullMarked
package escrel.web.readings;

import org.jspecify.annotations.NullMarked;
