/**
 * What is done to the case and to what is seen, within the stance agreed with the owner; a plating layer by layer; the test against water; the parcel that
 * goes back. Leans on service.
 */
@NullMarked
package escrel.core.casework;

import org.jspecify.annotations.NullMarked;
