/** The clocks of sound devices: calibrated, forgotten, taken back, as the workshop's log tells. Leans on core and sound. */
@NullMarked
package escrel.web.devices;

import org.jspecify.annotations.NullMarked;
