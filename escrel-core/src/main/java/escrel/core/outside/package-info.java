/** How a watch came: what was in the parcel, and how each piece of its outside looks. Leans on service and condition only. */
@NullMarked
package escrel.core.outside;

import org.jspecify.annotations.NullMarked;
