package escrel.core.handover;

import escrel.core.service.Step;

/**
 * One open item is waived: it alone, and nothing that is found or falls due later. Source: M17.
 *
 * @param key of the open item
 * @param item as it was said, for the report
 * @param reason printed in the report
 */
public record ItemWaived(String key, String item, String reason) implements Step {}
