/** The demo workshop: sheets, jobs, drawn pictures and simulated readings, made relative to the day it starts. */
@NullMarked
package escrel.web.demo;

import org.jspecify.annotations.NullMarked;
