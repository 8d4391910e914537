/**
 * Arrival: a job is opened, the watch as it came is recorded, its marks kept and its suspicions told, calibre with its variant and case
 * bound, photos added, years told by number; the parcel and the outside looked at, which calibre it may be, the first checks and their triage, luminous paint, what
 * its owner is asked and says was done before; what is kept about the owner is
 * given out or erased.
 */
@NullMarked
package escrel.web.arrival;

import org.jspecify.annotations.NullMarked;
