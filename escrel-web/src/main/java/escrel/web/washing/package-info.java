/** Washing: baskets with what may lie together and its way, loads and jars of the machine and the door for one, epilame, one part alone. */
@NullMarked
package escrel.web.washing;

import org.jspecify.annotations.NullMarked;
