/** The turn: before against after, position by position, drawn and said. */
@NullMarked
package escrel.web.turn;

import org.jspecify.annotations.NullMarked;
