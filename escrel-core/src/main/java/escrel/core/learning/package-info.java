/**
 * A calibre that is learnt while it is stripped: parts named with two or three keys, holds stated or seen, pins on a
 * photograph, how parts lie and what their screws are, figures and lubrication points said on the way, tests by kind, a chart of lubrication drafted where there is none; the
 * sheet that grows from it, what another teardown adds or contradicts, which mishaps may become traps, and what earlier
 * jobs found before. Leans on calibre, service and condition.
 */
@NullMarked
package escrel.core.learning;

import org.jspecify.annotations.NullMarked;
