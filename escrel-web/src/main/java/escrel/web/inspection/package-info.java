/** Inspection: findings, and the decision about each. */
@NullMarked
package escrel.web.inspection;

import org.jspecify.annotations.NullMarked;
