/**
 * Findings and what was decided about them: repaired, replaced, left by agreement, interim; parts lost,
 * fragments, measures, and the account of screws. What came off and went on
 * is in {@code teardown}; whether everything balances is in {@code handover}. Leans on teardown, condition and service.
 */
@NullMarked
package escrel.core.parts;

import org.jspecify.annotations.NullMarked;
