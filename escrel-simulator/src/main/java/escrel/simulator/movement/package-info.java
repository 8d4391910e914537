/** A simulated movement: its condition decides amplitude, rate and beat error in each position. Leans on core. */
@NullMarked
package escrel.simulator.movement;

import org.jspecify.annotations.NullMarked;
