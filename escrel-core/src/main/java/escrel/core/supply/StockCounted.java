package escrel.core.supply;

import escrel.core.service.Step;

/**
 * So many lie there now; what was taken or came before is in it.
 *
 * @param id of the stock
 * @param count 0 to {@value StockKept#MOST}
 */
public record StockCounted(String id, int count) implements Step {
    public StockCounted {
        if (count < 0 || count > StockKept.MOST) {
            throw new IllegalArgumentException("A number counted lies between 0 and " + StockKept.MOST);
        }
    }
}
