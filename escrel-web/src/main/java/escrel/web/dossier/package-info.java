/** The whole job as a file, out and in again, and its readings as CSV. */
@NullMarked
package escrel.web.dossier;

import org.jspecify.annotations.NullMarked;
