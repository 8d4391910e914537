/** Numbers drawn by chance, the same for the same seed. */
@NullMarked
package escrel.simulator.chance;

import org.jspecify.annotations.NullMarked;
