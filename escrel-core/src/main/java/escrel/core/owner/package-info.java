/** What the owner is asked, by when, at what estimate, and what the answer was. */
@NullMarked
package escrel.core.owner;

import org.jspecify.annotations.NullMarked;
