/**
 * Lubrication points due, done and left out, and the dosing of the escape wheel. When a point can still be reached is
 * worked out in {@code assembly}. Leans on calibre and teardown.
 */
@NullMarked
package escrel.core.lubrication;

import org.jspecify.annotations.NullMarked;
