/**
 * What a reading's doubt comes from here: the clocks of sound devices, calibrated, forgotten, taken back, as the workshop's log tells,
 * and how well watches are laid down. Leans on core, sound, job and chart.
 */
@NullMarked
package escrel.web.devices;

import org.jspecify.annotations.NullMarked;
