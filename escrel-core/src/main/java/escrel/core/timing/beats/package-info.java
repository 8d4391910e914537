/**
 * The beats in a sound: the channel that beats, its loudness without hum and made even, the beat rate it repeats at, which
 * sounds of a beat are unlocking and drop, and each of them followed through all ticks and tocks, jumps, gaps and noise, to
 * where it begins. What that means for rate and amplitude is in {@code acoustics}. Leans on sound, statistics, quantity and,
 * for what a swing allows, readings.
 */
@NullMarked
package escrel.core.timing.beats;

import org.jspecify.annotations.NullMarked;
