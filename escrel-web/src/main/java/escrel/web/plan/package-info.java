/**
 * The movement drawn to scale from its sheet: paths and classes for SVG, computed here so that the page only places them.
 * Every movement to one size; the train side is the mirror of the dial side; a photograph in its place; places that a key or a pointer chooses, and numbers on it. Leans on core.
 */
@NullMarked
package escrel.web.plan;

import org.jspecify.annotations.NullMarked;
