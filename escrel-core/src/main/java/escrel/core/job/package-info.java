/**
 * One job as a whole: its history read in the codes in use now, the movement as the job knows it, the schools that hold,
 * and every state computed from them once. Rooms ask it instead of folding again. Also the register
 * of every kind of step, the acts they make up, what of a step can be said otherwise and whether a correction can stand, and what a job waits for.
 * Leans on all of core; nothing in core leans on it.
 */
@NullMarked
package escrel.core.job;

import org.jspecify.annotations.NullMarked;
