/**
 * The beats in a sound: its loudness without hum, the beat rate it repeats at, each tick and tock followed through gaps
 * and noise, and the sounds within a beat. What they mean for rate and amplitude is in {@code acoustics}. Leans on sound,
 * statistics and quantity.
 */
@NullMarked
package escrel.core.timing.beats;

import org.jspecify.annotations.NullMarked;
