package escrel.core.learning;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.BiPredicate;

/** What teardowns say of holds: stated in the act, seen in every order, seen no longer, gone against. */
final class HoldDifference {
    /** Where the lines go. */
    interface Lines {
        /**
         * @param subject the holding part's code, {@code >}, the held one's
         * @param accepted what is proposed
         */
        void add(SheetDifference.Kind kind, String subject, String words, boolean accepted);
    }

    private final CalibreSheet base;
    private final CalibreSheet learnt;
    private final SeenOrders orders;

    HoldDifference(CalibreSheet base, CalibreSheet learnt, SeenOrders orders) {
        this.base = base;
        this.learnt = learnt;
        this.orders = orders;
    }

    /** The lines: what was stated and what goes against it, then what was seen. */
    void into(Lines lines) {
        stated(lines);
        seen(lines);
    }

    private void stated(Lines lines) {
        for (Hold hold : learnt.holds()) {
            if (hold.basis() == Hold.Basis.STATED && !has(base, hold.part(), hold.by(), Hold.Basis.STATED)) {
                lines.add(
                        SheetDifference.Kind.NEW_HOLD,
                        hold.by() + ">" + hold.part(),
                        "%s is held by %s: %s".formatted(name(hold.part()), name(hold.by()), hold.why()),
                        true);
            }
        }
        for (Hold hold : learnt.holds()) {
            int against = orders.timesBefore(hold.part(), hold.by());
            if (hold.basis() == Hold.Basis.STATED && against > 0) {
                lines.add(
                        SheetDifference.Kind.CONFLICT,
                        hold.by() + ">" + hold.part(),
                        "The sheet says %s comes off before %s; %s it was the other way. Accept to drop the hold."
                                .formatted(name(hold.by()), name(hold.part()), times(against)),
                        false);
            }
        }
    }

    private void seen(Lines lines) {
        List<SeenOrders.Pair> chain = orders.chain();
        for (SeenOrders.Pair pair : chain) {
            boolean said = has(learnt, pair.then(), pair.first(), Hold.Basis.STATED);
            if (!said && timesOnSheet(pair.first(), pair.then()) < pair.times() && both(pair.first(), pair.then())) {
                lines.add(
                        SheetDifference.Kind.SEEN_SO,
                        pair.first() + ">" + pair.then(),
                        "%s before %s: %s".formatted(name(pair.first()), name(pair.then()), seenWords(pair)),
                        true);
            }
        }
        for (Hold hold : base.holds()) {
            if (hold.basis() == Hold.Basis.SEEN) {
                noLongerSeen(hold, chain, lines);
            }
        }
    }

    /** A pair these teardowns never met stays as the sheet has it; it goes when one went the other way, or others say it. */
    private void noLongerSeen(Hold hold, List<SeenOrders.Pair> chain, Lines lines) {
        boolean still = chain.stream()
                .anyMatch(p -> p.then().equals(hold.part()) && p.first().equals(hold.by()));
        boolean contradicted = orders.timesBefore(hold.part(), hold.by()) > 0;
        boolean follows = !still
                && orders.alwaysBefore(hold.by(), hold.part()) > 0
                && orders.alwaysBefore(hold.by(), hold.part()) >= timesOnSheet(hold.by(), hold.part());
        if (contradicted || follows) {
            lines.add(
                    SheetDifference.Kind.NO_LONGER_SEEN,
                    hold.by() + ">" + hold.part(),
                    "%s before %s is dropped: %s"
                            .formatted(
                                    name(hold.by()),
                                    name(hold.part()),
                                    contradicted ? "it was seen both ways" : "it follows from other lines"),
                    true);
        }
    }

    /** How often the sheet says a pair was seen so; 0 when it does not. */
    private int timesOnSheet(String first, String then) {
        return base.holds().stream()
                .filter(h -> h.basis() == Hold.Basis.SEEN && h.part().equals(then) && h.by().equals(first))
                .mapToInt(h -> SeenOrders.timesIn(h.why()))
                .max()
                .orElse(0);
    }

    private boolean both(String a, String b) {
        return learnt.part(a).isPresent() && learnt.part(b).isPresent();
    }

    /**
     * The holds of the sheet with the accepted lines on it.
     *
     * @param taken whether the line of this kind on this subject was accepted
     * @param codes parts the sheet has then
     */
    List<Hold> merged(BiPredicate<SheetDifference.Kind, String> taken, Set<String> codes) {
        List<Hold> holds = new ArrayList<>();
        for (Hold hold : base.holds()) {
            String subject = hold.by() + ">" + hold.part();
            boolean dropped = hold.basis() == Hold.Basis.STATED
                    ? taken.test(SheetDifference.Kind.CONFLICT, subject)
                    : taken.test(SheetDifference.Kind.NO_LONGER_SEEN, subject)
                            || taken.test(SheetDifference.Kind.SEEN_SO, subject);
            if (!dropped) {
                holds.add(hold);
            }
        }
        for (Hold hold : learnt.holds()) {
            String subject = hold.by() + ">" + hold.part();
            if (taken.test(SheetDifference.Kind.NEW_HOLD, subject)
                    && !taken.test(SheetDifference.Kind.CONFLICT, subject)) {
                holds.add(hold);
            }
        }
        for (SeenOrders.Pair pair : orders.chain()) {
            if (taken.test(SheetDifference.Kind.SEEN_SO, pair.first() + ">" + pair.then())) {
                holds.add(new Hold(pair.then(), pair.first(), seenWords(pair), Hold.Basis.SEEN));
            }
        }
        return holds.stream()
                .filter(h -> codes.contains(h.part()) && codes.contains(h.by()))
                .toList();
    }

    private String name(String code) {
        return learnt.part(code).or(() -> base.part(code)).map(Part::name).orElse(code);
    }

    private static String times(int times) {
        return SeenOrders.timesWords(times);
    }

    private static String seenWords(SeenOrders.Pair pair) {
        return "always seen so (" + times(pair.times()) + ")";
    }

    private static boolean has(CalibreSheet sheet, String part, String by, Hold.Basis basis) {
        return sheet.holds().stream().anyMatch(h -> h.part().equals(part) && h.by().equals(by) && h.basis() == basis);
    }
}
