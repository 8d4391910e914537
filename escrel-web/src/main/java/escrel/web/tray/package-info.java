/** The tray: where each part lies, and labels for a real one. */
@NullMarked
package escrel.web.tray;

import org.jspecify.annotations.NullMarked;
