/**
 * The calibre's sheet: parts and what holds them, screws by place, oil points and tests with their windows, train,
 * jewels, geometry; and the check that names every fault of a sheet. Orders are worked out in {@code teardown} and
 * {@code assembly}. Leans on quantity.
 */
@NullMarked
package escrel.core.calibre;

import org.jspecify.annotations.NullMarked;
