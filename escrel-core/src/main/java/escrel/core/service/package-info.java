/**
 * A job and the envelope of its recorded steps: when, in which order, what was taken back. What a step means is the
 * business of the concept that defines it; each computes its own state from the steps it understands. Leans on
 * school and calibre.
 */
@NullMarked
package escrel.core.service;

import org.jspecify.annotations.NullMarked;
