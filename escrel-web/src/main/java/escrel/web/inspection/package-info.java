/**
 * Inspection: the walk from part to part, dirty and clean, with one key for a grade; and the findings, what they came of, the decision
 * about each and what came of it, suspicions, other copies at hand; which mainspring, of list and drawers; play against its limits.
 */
@NullMarked
package escrel.web.inspection;

import org.jspecify.annotations.NullMarked;
