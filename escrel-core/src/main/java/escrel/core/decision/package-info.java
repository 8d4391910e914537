/**
 * What can be done about a finding, weighed: each way with what speaks for and against it, its minutes and its money; how long
 * such work takes at this bench, read from when it was recorded. Leans on parts for findings, on service for times, on school and calibre for habits and kinds of part; decides nothing itself.
 */
@NullMarked
package escrel.core.decision;

import org.jspecify.annotations.NullMarked;
