/** Which rooms there are: declared once, asked by navigation, first page, undo, walls and the accessibility test. */
@NullMarked
package escrel.web.room;

import org.jspecify.annotations.NullMarked;
