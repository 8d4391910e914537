/**
 * The way up: parts in reverse, what goes in early, lubrication points in their windows, tests between; what closing
 * over something would lose. Leans on calibre, teardown, lubrication and parts.
 */
@NullMarked
package escrel.core.assembly;

import org.jspecify.annotations.NullMarked;
