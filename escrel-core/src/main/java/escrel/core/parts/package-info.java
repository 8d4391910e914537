/**
 * Findings, what was decided about them and whether it was done; the copies that sat or sit in each home; parts lost,
 * fragments, measures; the accounts of homes and screws. Whether everything balances is in {@code handover}. Leans on
 * teardown, condition and service.
 */
@NullMarked
package escrel.core.parts;

import org.jspecify.annotations.NullMarked;
