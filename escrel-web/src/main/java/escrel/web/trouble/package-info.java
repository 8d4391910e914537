/**
 * Errors become pages here and nowhere else: what happened, what is safe, what to do. Stack traces go to the log.
 */
@NullMarked
package escrel.web.trouble;

import org.jspecify.annotations.NullMarked;
