/** Ways in: only what must come off for one part, numbered on the plan, and the way out again. */
@NullMarked
package escrel.web.wayin;

import org.jspecify.annotations.NullMarked;
