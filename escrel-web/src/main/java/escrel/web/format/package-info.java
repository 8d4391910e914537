/** Numbers, units and names as they are shown; nothing is rounded before it comes here. The words of a text, also as part of an address, and the theme of a browser. Leans on core. */
@NullMarked
package escrel.web.format;

import org.jspecify.annotations.NullMarked;
