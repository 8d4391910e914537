/** The page about safe keeping: what was backed up, when, and whether it can be gone back to. */
@NullMarked
package escrel.web.safe;

import org.jspecify.annotations.NullMarked;
