/** Lists of jobs, read from what is written with every step; whole histories are never read for them. Leans on core and the tables written for it. */
@NullMarked
package escrel.web.list;

import org.jspecify.annotations.NullMarked;
