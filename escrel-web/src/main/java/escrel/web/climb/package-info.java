/**
 * The climb: parts, oil points and tests in the order in which nothing is closed over; what asks for a reading leads to
 * the readings; visits.
 */
@NullMarked
package escrel.web.climb;

import org.jspecify.annotations.NullMarked;
