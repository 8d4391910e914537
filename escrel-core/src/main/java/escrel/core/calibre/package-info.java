/**
 * The calibre's sheet: parts and what holds them, screws by place, oil points and tests with their windows, train,
 * jewels, geometry, lore; the check that names every fault of a sheet, what a relative of its family may take over, what a
 * variant has otherwise, and its charts under a workshop's schools. Orders are worked out in {@code order}. Leans on quantity and school.
 */
@NullMarked
package escrel.core.calibre;

import org.jspecify.annotations.NullMarked;
