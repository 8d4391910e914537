/**
 * A job as it is recorded: the envelope of a step (when, in which order, what was taken back or corrected), the steps by which a
 * movement is opened and closed, and the one fold of them that everything else asks: each part's episodes, the movement's
 * rounds, whether the power is up, what is eased, which
 * screws are still to come, which side lies up. What other steps mean is the business of the concept
 * that defines them. Leans on school and calibre.
 */
@NullMarked
package escrel.core.service;

import org.jspecify.annotations.NullMarked;
