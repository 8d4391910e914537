/** Media as files named by their content. What they are and to whom they belong stands in the database. Leans on disk. */
@NullMarked
package escrel.web.media;

import org.jspecify.annotations.NullMarked;
