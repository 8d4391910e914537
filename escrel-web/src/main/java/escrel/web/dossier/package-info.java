/** The whole job as a file, out and in again, through the one gate for what comes from elsewhere. Readings as CSV are in {@code csv}. */
@NullMarked
package escrel.web.dossier;

import org.jspecify.annotations.NullMarked;
