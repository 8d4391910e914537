/**
 * Figures about numbers that know nothing of watches: a line through points of which some lie, wander or
 * all come later from somewhere on, medians and spreads that
 * bear outliers, the spectrum of a real series.
 */
@NullMarked
package escrel.core.statistics;

import org.jspecify.annotations.NullMarked;
