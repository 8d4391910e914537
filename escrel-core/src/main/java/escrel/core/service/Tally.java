package escrel.core.service;

import java.util.List;

/**
 * What one concept counts for the accounts: how many there are, what of it is open, and how the settled ones break down.
 * Source: M17.
 *
 * @param total how many there are
 * @param open what is not settled; empty when it balances
 * @param settled a sentence for the report
 */
public record Tally(Kind kind, int total, List<OpenItem> open, String settled) {
    /** The accounts of a job. Names stay for good: waivers of earlier versions use them. */
    public enum Kind {
        HOMES,
        SCREWS,
        LUBRICATION,
        TESTS,
        FINDINGS,
        INTERIM_PARTS,
        SEARCHES,
        VISITS,
        CLEANING,
        READINGS
    }

    public Tally {
        open = List.copyOf(open);
    }

    /** Whether nothing is open. */
    public boolean balances() {
        return open.isEmpty();
    }
}
