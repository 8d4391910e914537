/**
 * Readings: typed, as ranges, from recordings that are kept, or none because the watch does not run, and the questions why; magnetism; running in
 * and down. Live sound is the desk's, files of readings are in {@code csv}.
 */
@NullMarked
package escrel.web.readings;

import org.jspecify.annotations.NullMarked;
