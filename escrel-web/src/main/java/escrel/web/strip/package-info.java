/**
 * The strip: parts come off one key at a time; what speaks against a step is said before it; a closed movement is opened
 * again here, for a reason. Its panels name, describe and judge a part; other rooms lead to them and are led back to.
 */
@NullMarked
package escrel.web.strip;

import org.jspecify.annotations.NullMarked;
