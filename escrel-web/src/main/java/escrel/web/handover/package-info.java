/** Hand-over: the accounts item by item, waivers, old parts, the report as page and PDF. */
@NullMarked
package escrel.web.handover;

import org.jspecify.annotations.NullMarked;
