/** Schools: where good people differ, chosen for the workshop, a calibre or a job; between what play should lie, years by number. */
@NullMarked
package escrel.web.settings;

import org.jspecify.annotations.NullMarked;
