/**
 * Whole simulated watches to lay under the simulated pick-up: a condition, how far it is wound, whether it is magnetised.
 * Leans on the movement and the pick-up.
 */
@NullMarked
package escrel.simulator.watch;

import org.jspecify.annotations.NullMarked;
