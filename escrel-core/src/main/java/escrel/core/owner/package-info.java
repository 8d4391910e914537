/** What the owner is asked, by when, at what estimate and what that goes by, and what the answer was; what they say was done
 * before, held against what was seen. */
@NullMarked
package escrel.core.owner;

import org.jspecify.annotations.NullMarked;
