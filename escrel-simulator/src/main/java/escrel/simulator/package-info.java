/**
 * Stand-ins for outside devices, for the demo and for tests: they speak to the app through the same doors as the real
 * thing (sound in), and trials on which the analysis is proved. Everything they yield is marked as simulated where it is shown.
 */
@NullMarked
package escrel.simulator;

import org.jspecify.annotations.NullMarked;
