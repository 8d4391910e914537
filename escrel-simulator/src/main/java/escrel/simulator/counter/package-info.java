/** A simulated counter of radioactive decays. */
@NullMarked
package escrel.simulator.counter;

import org.jspecify.annotations.NullMarked;
