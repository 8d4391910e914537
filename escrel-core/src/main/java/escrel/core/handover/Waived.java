package escrel.core.handover;

import escrel.core.service.Step;

/**
 * An open account is waived.
 *
 * @param reason printed in the report
 */
public record Waived(Account.Kind account, String reason) implements Step {}
