/** Arrival: a job is opened, the watch as it came is recorded, its suspicions told, calibre
 * and case bound, photos added; what is kept about its owner is given out or erased. */
@NullMarked
package escrel.web.arrival;

import org.jspecify.annotations.NullMarked;
