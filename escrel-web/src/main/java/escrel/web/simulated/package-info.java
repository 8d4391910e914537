/**
 * The simulated pick-up, compass, counter and cleaning machine, through the doors of real ones: samples for the desk's microphone, a needle to look
 * at, counts that say they are simulated. The only room besides the demo that knows the simulator; no other room knows this one.
 */
@NullMarked
package escrel.web.simulated;

import org.jspecify.annotations.NullMarked;
