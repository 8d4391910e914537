/**
 * The way up: parts under the rules of {@code order}, screws that come later, what goes in early, lubrication points in their
 * windows, tests between, each with what settles it; what closing over something would lose and what was closed over; what is
 * judged by eye at a test. Leans on order, calibre, service, teardown, lubrication and parts.
 */
@NullMarked
package escrel.core.assembly;

import org.jspecify.annotations.NullMarked;
