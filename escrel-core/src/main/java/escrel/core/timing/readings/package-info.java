/**
 * Readings of a movement: rate, amplitude and beat error per position, each with its doubt, and the geometry of the swing
 * that ties lift time to amplitude; their occasions, the clock behind them, and magnetism. Sound becomes readings in {@code acoustics}. Leans on quantity and service.
 */
@NullMarked
package escrel.core.timing.readings;

import org.jspecify.annotations.NullMarked;
