/**
 * Findings, what they came of, what was decided about them and whether it was done; what is suspected; the copies that sat
 * or sit in each home, pieces put into parts and the places the sheet knows; parts lost, fragments, measures, play by feel and
 * its limits; screws hole by hole, the tray, what screws tell
 * of earlier work; the accounts of homes and screws. Whether everything balances is in {@code handover}. Leans on
 * teardown, condition and service.
 */
@NullMarked
package escrel.core.parts;

import org.jspecify.annotations.NullMarked;
