/**
 * How answers go out, whatever they say: which page an address asks for, what never changes and need not be asked for again, what
 * is packed, pieces of pages that are as they were.
 */
@NullMarked
package escrel.web.answers;

import org.jspecify.annotations.NullMarked;
