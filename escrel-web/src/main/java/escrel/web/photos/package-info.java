/** Photos: taken in, re-encoded without location data, kept and served; their small copies with arrows drawn into them. Shared by the rooms that take them. */
@NullMarked
package escrel.web.photos;

import org.jspecify.annotations.NullMarked;
