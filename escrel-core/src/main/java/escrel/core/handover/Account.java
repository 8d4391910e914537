package escrel.core.handover;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One account: what is counted, how much of it is settled, and what is still open by name.
 *
 * @param kind which account
 * @param total how many there are
 * @param open what is not settled, in words; empty when it balances
 * @param settled a sentence that breaks the settled ones down, for the report
 * @param waivedBecause reason for handing over all the same; nothing when not waived
 */
public record Account(
        Kind kind,
        int total,
        List<String> open,
        String settled,
        @Nullable String waivedBecause) {
    /** The accounts of a job. Source: M17. */
    public enum Kind {
        HOMES,
        SCREWS,
        LUBRICATION,
        TESTS,
        FINDINGS,
        INTERIM_PARTS,
        SEARCHES,
        VISITS
    }

    public Account {
        open = List.copyOf(open);
    }

    /** Whether nothing is open. */
    public boolean balances() {
        return open.isEmpty();
    }

    /** Whether it stands in the way of handing over: open and not waived. */
    public boolean blocks() {
        return !balances() && waivedBecause == null;
    }
}
