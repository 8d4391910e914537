/** The application in a process of its own, somebody who calls it, and what it holds in memory. */
@NullMarked
package escrel.bench.server;

import org.jspecify.annotations.NullMarked;
