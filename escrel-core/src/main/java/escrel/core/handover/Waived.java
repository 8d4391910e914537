package escrel.core.handover;

import escrel.core.service.Step;
import escrel.core.service.Tally;

/**
 * All that was open of an account when this was recorded is waived, and nothing that came later. Records of earlier
 * versions have it; since then items are waived one by one.
 *
 * @param reason printed in the report
 */
public record Waived(Tally.Kind account, String reason) implements Step {}
