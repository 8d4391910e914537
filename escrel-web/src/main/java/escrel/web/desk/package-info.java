/**
 * The sound desk: live sound of a watch, position by position, until each has settled. What is kept goes into the job;
 * readings typed, uploaded or looked at afterwards are the readings room's. Leans on core, job and sound.
 */
@NullMarked
package escrel.web.desk;

import org.jspecify.annotations.NullMarked;
