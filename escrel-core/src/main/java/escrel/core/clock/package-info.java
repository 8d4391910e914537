/** Clocks of the bench: baths, drying, layers. They are acts of the workshop, so a restart stops none of them. */
@NullMarked
package escrel.core.clock;

import org.jspecify.annotations.NullMarked;
