/** Before and after as drawn and said, for the page and the report. Leans on core and job. */
@NullMarked
package escrel.web.chart;

import org.jspecify.annotations.NullMarked;
