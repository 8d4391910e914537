/** The cases known here, each drawn layer by layer and changed on its drawing. */
@NullMarked
package escrel.web.cases;

import org.jspecify.annotations.NullMarked;
