/** Lists of jobs, read from what is written with every step; whole histories are never read for them. Leans on storage. */
@NullMarked
package escrel.web.list;

import org.jspecify.annotations.NullMarked;
