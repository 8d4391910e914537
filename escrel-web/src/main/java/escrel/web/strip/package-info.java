/** The strip: parts come off one key at a time; what speaks against a step is said before it. */
@NullMarked
package escrel.web.strip;

import org.jspecify.annotations.NullMarked;
