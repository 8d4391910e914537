/**
 * A job as the rooms handle it: loaded with its steps and sheet and kept in memory, moved on by appending steps, taken back by
 * acts, under the schools that hold for it, after the earlier services of its watch. Everything a job means is computed in core from what is loaded here; what
 * lists, the search, learning, estimates and comparisons read of it is written with every step, and a form that comes twice is one act. Leans on storage.
 */
@NullMarked
package escrel.web.job;

import org.jspecify.annotations.NullMarked;
