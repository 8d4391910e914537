/** What the workshop has to draw on, donors and drawers, and what is known where a finding is decided. */
@NullMarked
package escrel.web.stores;

import org.jspecify.annotations.NullMarked;
