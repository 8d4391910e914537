package escrel.core.handover;

import escrel.core.service.OpenItem;
import escrel.core.service.Tally;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One account: what its concept counts, and which of its open items were waived.
 *
 * @param tally what is counted and open
 * @param waived reasons by the key of the open item
 */
public record Account(Tally tally, Map<String, String> waived) {
    public Account {
        waived = Map.copyOf(waived);
    }

    /** Which account. */
    public Tally.Kind kind() {
        return tally.kind();
    }

    /** How many there are. */
    public int total() {
        return tally.total();
    }

    /** What is open, waived or not. */
    public List<OpenItem> open() {
        return tally.open();
    }

    /** What is open and not waived: it stands in the way. */
    public List<OpenItem> blocking() {
        return open().stream().filter(i -> !waived.containsKey(i.key())).toList();
    }

    /** A sentence that breaks the settled ones down. */
    public String settled() {
        return tally.settled();
    }

    /** Why an open item may stay so, if it was waived. */
    public Optional<String> reasonFor(OpenItem item) {
        return Optional.ofNullable(waived.get(item.key()));
    }

    /** Whether nothing is open. */
    public boolean balances() {
        return tally.balances();
    }

    /** Whether it stands in the way of handing over. */
    public boolean blocks() {
        return !blocking().isEmpty();
    }
}
