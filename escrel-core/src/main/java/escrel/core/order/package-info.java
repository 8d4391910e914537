/**
 * What comes before what on a calibre's sheet, both ways: nodes (a part, its screws, an oil point, a test), constraints with their
 * weight, one precedence that never closes a ring, one sequencer that knows which side lies up. Rules are produced once,
 * weight by weight, for the way down and the way up. What has happened in a job is not known here: {@code teardown} and
 * {@code assembly} ask with its state. Leans on school and calibre.
 */
@NullMarked
package escrel.core.order;

import org.jspecify.annotations.NullMarked;
