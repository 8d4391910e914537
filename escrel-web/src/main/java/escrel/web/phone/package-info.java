/** Pictures from elsewhere for the part at hand: from a phone that joins by a code, or from a folder that is watched. */
@NullMarked
package escrel.web.phone;

import org.jspecify.annotations.NullMarked;
