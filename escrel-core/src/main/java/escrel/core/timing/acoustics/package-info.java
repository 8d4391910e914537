/**
 * From the beats of a sound to a reading: rate, amplitude and beat error with their doubt, long sound stretch by stretch,
 * live sound until it has settled; or a refusal in a plain sentence, never a number that is not believed. The method is
 * described in {@code docs/acoustics.md}. Leans on sound, beats, statistics, readings and quantity.
 */
@NullMarked
package escrel.core.timing.acoustics;

import org.jspecify.annotations.NullMarked;
