/**
 * Sound before anything is made of it: WAV files whole or stretch by stretch, live sound of which the last stretch is
 * kept, its level. Knows nothing of watches.
 */
@NullMarked
package escrel.core.timing.sound;

import org.jspecify.annotations.NullMarked;
