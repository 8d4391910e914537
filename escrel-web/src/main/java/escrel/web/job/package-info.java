/**
 * A job as the rooms handle it: loaded with its steps and sheet, moved on by appending steps, under the schools that hold for it. Everything a job means is
 * computed in core from what is loaded here. Leans on storage.
 */
@NullMarked
package escrel.web.job;

import org.jspecify.annotations.NullMarked;
