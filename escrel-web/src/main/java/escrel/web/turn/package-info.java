/**
 * The turn: any two states laid side by side, position by position, drawn and said; its pictures; and what a calibre showed
 * after service.
 */
@NullMarked
package escrel.web.turn;

import org.jspecify.annotations.NullMarked;
