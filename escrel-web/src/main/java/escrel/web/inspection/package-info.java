/** Inspection: findings, what they came of, the decision about each and what came of it, suspicions, other copies at hand, the second look. */
@NullMarked
package escrel.web.inspection;

import org.jspecify.annotations.NullMarked;
