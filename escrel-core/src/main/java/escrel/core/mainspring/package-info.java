/** Mainsprings: how a spring fills its drum, how often it turns it, what another one would do instead; the list of those to be had. */
@NullMarked
package escrel.core.mainspring;

import org.jspecify.annotations.NullMarked;
