/**
 * The log of the workshop: acts that belong to no job, kept as a job is kept, in order, only added to, taken back by
 * entry. The clocks of the sound devices and of the bench, loads and jars, bottles, the list of springs, suppliers, donors and
 * stock, limits of play, years by number, which names mean one watch or owner. Leans on service for the
 * envelope of a step and on timing for what a clock is; knows no job.
 */
@NullMarked
package escrel.core.workshop;

import org.jspecify.annotations.NullMarked;
