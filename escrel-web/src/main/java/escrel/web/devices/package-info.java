/** The clocks of sound devices: calibrated against a reference, shown, forgotten. Leans on core and sound. */
@NullMarked
package escrel.web.devices;

import org.jspecify.annotations.NullMarked;
