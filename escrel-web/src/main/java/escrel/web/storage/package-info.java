/**
 * What is kept and how: jobs, their steps, sheets, schools and settings in the tables of one database, steps and sheets as JSON;
 * photos, recordings and documents as names of media. Every table is written by the one mapper here; rooms may read with queries of
 * their own. {@code OpenWants} holds one list and reads without a mapper what was written since;
 * {@code AfterTransaction} is where what follows a commit or its failing is said, and {@code Mappers} finds the mappers of the
 * whole application. The file beneath is in {@code ground}, the media in {@code media}; what a job means is computed in core.
 */
@NullMarked
package escrel.web.storage;

import org.jspecify.annotations.NullMarked;
