/** Which rooms there are: declared once, asked by navigation, first page, undo, walls and the accessibility test; on which of their
 * pages an act of the workshop is said and taken back. */
@NullMarked
package escrel.web.room;

import org.jspecify.annotations.NullMarked;
