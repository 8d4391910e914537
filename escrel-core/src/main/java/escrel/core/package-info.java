/**
 * The craft of a movement service in plain Java: what may come off, what a sound means, what is still open. This root
 * holds only the base of the exceptions a user can mend; every concept has a package of its own, each leaning only on
 * those named before it in {@code docs/architecture.md}. No Spring, no SQL, no HTML and no clock here.
 */
@NullMarked
package escrel.core;

import org.jspecify.annotations.NullMarked;
