/** Readings as CSV: our own files out and in, and those of other timing machines in by a mapping. Leans on core. */
@NullMarked
package escrel.web.csv;

import org.jspecify.annotations.NullMarked;
