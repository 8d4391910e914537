/** Schools: where good people differ, chosen for the workshop, a calibre or a job. */
@NullMarked
package escrel.web.settings;

import org.jspecify.annotations.NullMarked;
