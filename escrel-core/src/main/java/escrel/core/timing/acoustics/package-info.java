/**
 * From sound to readings: WAV in, beat rate recognised, beats followed, unlocking and
 * drop of a beat found, rate, amplitude
 * and beat error with their doubt out; or a refusal in a plain sentence, never a number that is not believed. The method
 * is described in {@code docs/acoustics.md}. Leans on quantity and readings.
 */
@NullMarked
package escrel.core.timing.acoustics;

import org.jspecify.annotations.NullMarked;
