/**
 * Putting the movement in beat: how far the impulse jewel stands off and which way to turn what; what was done between
 * sets of readings; magnetism. Leans on quantity, calibre, service, parts and timing.
 */
@NullMarked
package escrel.core.regulation;

import org.jspecify.annotations.NullMarked;
