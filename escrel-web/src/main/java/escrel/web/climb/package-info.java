/**
 * The climb: parts, oil points and tests in the order in which nothing is closed over; what asks for a reading leads to
 * the readings; what was said on the way down; lubrication points added in the act, the oiling chart
 * and its draft; what was forgotten underneath; visits.
 */
@NullMarked
package escrel.web.climb;

import org.jspecify.annotations.NullMarked;
