/** A simulated pick-up: the sound of a simulated movement as samples, with the truth known. Leans on core. */
@NullMarked
package escrel.simulator.pickup;

import org.jspecify.annotations.NullMarked;
