/**
 * The log of the workshop: acts that belong to no job, kept as a job is kept, in order, only added to, taken back by
 * entry. So far the clocks of the sound devices and the list of springs; baths, bottles and stock have their place here. Leans on service for the
 * envelope of a step and on timing for what a clock is; knows no job.
 */
@NullMarked
package escrel.core.workshop;

import org.jspecify.annotations.NullMarked;
