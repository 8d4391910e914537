/**
 * Hand-over: the accounts item by item, waivers, old parts, case work and the test against water, the parcel back, the report
 * as page and PDF. */
@NullMarked
package escrel.web.handover;

import org.jspecify.annotations.NullMarked;
