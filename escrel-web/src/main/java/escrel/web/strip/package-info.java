/**
 * The strip: parts come off one key at a time; what speaks against a step is said before it; a closed movement is opened
 * again here, for a reason.
 */
@NullMarked
package escrel.web.strip;

import org.jspecify.annotations.NullMarked;
