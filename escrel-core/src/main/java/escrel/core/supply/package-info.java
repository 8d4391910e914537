/**
 * What a job waits for from elsewhere: parts ordered, work sent out, donors and stock drawn from. Orders are steps of a job;
 * suppliers, donors and stock are acts of the workshop. Leans on parts for findings and copies; no job is known here.
 */
@NullMarked
package escrel.core.supply;

import org.jspecify.annotations.NullMarked;
