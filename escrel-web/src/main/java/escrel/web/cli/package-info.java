/** Commands that do not start the web server. */
@NullMarked
package escrel.web.cli;

import org.jspecify.annotations.NullMarked;
