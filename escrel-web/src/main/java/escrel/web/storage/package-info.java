/**
 * What is kept and how: jobs, their steps, sheets with pictures and documents, photos, schools in one H2 file; steps and sheets as JSON. Every table is
 * written by the one mapper here; rooms may read with queries of their own. What a job means is computed in core.
 */
@NullMarked
package escrel.web.storage;

import org.jspecify.annotations.NullMarked;
