/**
 * The watch's case: a sheet of its own by the watch's reference, what a job says of it, and how it joins the movement in one
 * order. A calibre sits in many cases, and a case knows its movement by what every movement has: stem, hands, dial.
 */
@NullMarked
package escrel.core.watchcase;

import org.jspecify.annotations.NullMarked;
