/** The first checks, with what a chronograph's reset did, on a watch nobody has opened, and what they add up to: go ahead, warn, ask, decline. */
@NullMarked
package escrel.core.triage;

import org.jspecify.annotations.NullMarked;
