package escrel.core.handover;

import escrel.core.service.JobHistory;
import escrel.core.service.OpenItem;
import escrel.core.service.RecordedStep;
import escrel.core.service.Tally;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntFunction;

/**
 * The accounts that must be zero before hand-over, from what each concept counts, with the items that were waived. The
 * same everywhere: hand-over, report, first page, dossier. Source: M17.
 */
public final class Accounts {
    private Accounts() {}

    /**
     * The accounts.
     *
     * @param tallies what each concept counts now
     * @param before what they counted right after a step: a waiver of a whole account covers what was open then
     */
    public static List<Account> of(JobHistory history, List<Tally> tallies, IntFunction<List<Tally>> before) {
        Map<String, String> waived = new HashMap<>();
        for (RecordedStep entry : history.counting(ItemWaived.class, Waived.class)) {
            if (entry.step() instanceof ItemWaived item) {
                waived.put(item.key(), item.reason());
            } else if (entry.step() instanceof Waived whole) {
                before.apply(entry.sequence()).stream()
                        .filter(t -> t.kind() == whole.account())
                        .flatMap(t -> t.open().stream())
                        .forEach(i -> waived.put(i.key(), whole.reason()));
            }
        }
        return tallies.stream().map(t -> new Account(t, ofThese(t, waived))).toList();
    }

    private static Map<String, String> ofThese(Tally tally, Map<String, String> waived) {
        Set<String> keys = new HashSet<>();
        tally.open().stream().map(OpenItem::key).forEach(keys::add);
        Map<String, String> some = new HashMap<>();
        waived.forEach((key, reason) -> {
            if (keys.contains(key)) {
                some.put(key, reason);
            }
        });
        return some;
    }

    /** Whether a job may leave: every open item is waived. */
    public static boolean mayLeave(List<Account> accounts) {
        return accounts.stream().noneMatch(Account::blocks);
    }
}
