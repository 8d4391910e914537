package escrel.core.supply;

import escrel.core.service.Step;

/**
 * More came.
 *
 * @param id of the stock
 * @param by how many, 1 to {@value StockKept#MOST}
 */
public record StockCame(String id, int by) implements Step {
    public StockCame {
        if (by < 1 || by > StockKept.MOST) {
            throw new IllegalArgumentException("What came is 1 at least and " + StockKept.MOST + " at most");
        }
    }
}
