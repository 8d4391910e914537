/**
 * What can be done about a finding, weighed: each way with what speaks for and against it, its minutes and its money. Leans on
 * parts for findings, on school and calibre for habits and kinds of part; decides nothing itself.
 */
@NullMarked
package escrel.core.decision;

import org.jspecify.annotations.NullMarked;
