/**
 * The log of the workshop: acts that belong to no job, kept as a job is kept, in order, only added to, taken back by
 * entry. The clocks of the sound devices, the list of springs, suppliers, donors and stock, which names mean one watch or
 * owner; baths and bottles have their place here. Leans on service for the
 * envelope of a step and on timing for what a clock is; knows no job.
 */
@NullMarked
package escrel.core.workshop;

import org.jspecify.annotations.NullMarked;
