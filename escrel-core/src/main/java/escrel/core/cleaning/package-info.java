/**
 * Cleaning, part by part and copy by copy: what may go into which bath, what still owes a rinse or the second look in this
 * episode; in which basket it lies and which way it goes, what prepares it, who is given epilame, what went through the jars of the
 * machine; what each part looked like, dirty and clean. Leans on calibre, clock, school, service, parts and teardown.
 */
@NullMarked
package escrel.core.cleaning;

import org.jspecify.annotations.NullMarked;
