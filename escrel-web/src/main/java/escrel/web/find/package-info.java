/** Finding any job, also one that went back long ago. Reads only. */
@NullMarked
package escrel.web.find;

import org.jspecify.annotations.NullMarked;
