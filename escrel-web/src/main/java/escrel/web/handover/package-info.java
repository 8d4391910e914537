/** Hand-over: the accounts, waivers, the report as page and PDF. */
@NullMarked
package escrel.web.handover;

import org.jspecify.annotations.NullMarked;
