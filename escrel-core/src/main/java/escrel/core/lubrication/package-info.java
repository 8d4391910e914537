/**
 * Lubrication points due, done and left out in the present episode of what they belong to, and the dosing of the escape
 * wheel; the workshop's bottles. When a point can still be reached is worked out in {@code order}. Leans on calibre and service.
 */
@NullMarked
package escrel.core.lubrication;

import org.jspecify.annotations.NullMarked;
