/**
 * Cleaning, part by part and copy by copy: what may go into which bath, what still owes a rinse or the second look in this
 * episode; what each part looked like, dirty and clean. Leans on calibre, service, parts and teardown.
 */
@NullMarked
package escrel.core.cleaning;

import org.jspecify.annotations.NullMarked;
