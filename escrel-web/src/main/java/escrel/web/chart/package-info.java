/** Before and after as drawn and said, and sets of readings in words. Leans on core, job and format. */
@NullMarked
package escrel.web.chart;

import org.jspecify.annotations.NullMarked;
