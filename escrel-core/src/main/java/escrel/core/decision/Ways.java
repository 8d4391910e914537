package escrel.core.decision;

import static escrel.core.parts.Decision.ADJUST;
import static escrel.core.parts.Decision.CLEAN_AND_REUSE;
import static escrel.core.parts.Decision.INTERIM;
import static escrel.core.parts.Decision.LEAVE_BY_AGREEMENT;
import static escrel.core.parts.Decision.MAKE;
import static escrel.core.parts.Decision.REPAIR;
import static escrel.core.parts.Decision.REPLACE_DONOR;
import static escrel.core.parts.Decision.REPLACE_NEW;
import static escrel.core.parts.Decision.REUSE_ON_CONDITION;
import static escrel.core.parts.Decision.SEND_OUT;

import escrel.core.condition.Place;
import escrel.core.decision.Way.Reason;
import escrel.core.parts.Decision;
import escrel.core.parts.Finding;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The ways of dealing with a finding, the best supported first. Each rule says its reason; what it weighs (1 little to 5 nearly
 * always) is ours. Sources: craft 2.1 (stance), 2.8 (springs), 2.9, 2.10 (decisions), 4 (schools).
 */
public final class Ways {
    private final Known known;
    private final Finding finding;
    private final Reasons reasons;
    private final BenchTimes times;

    private Ways(Known known, BenchTimes times) {
        this.known = known;
        this.times = times;
        this.finding = known.finding();
        this.reasons = Reasons.of(known);
    }

    /** The ways for which more speaks than against them, where nobody timed such work yet. */
    public static List<Way> of(Known known) {
        return of(known, BenchTimes.NONE);
    }

    /** The ways for which more speaks than against them. */
    public static List<Way> of(Known known, BenchTimes times) {
        Ways ways = new Ways(known, times);
        ways.repairOrReplace();
        return ways.reasons.decisions().stream()
                .map(ways::way)
                .filter(w -> w.weight() > 0)
                .sorted(Comparator.comparingInt(Way::weight).reversed().thenComparing(Way::decision))
                .toList();
    }

    /**
     * Minutes at the bench that a way usually takes, from the decision to the part in its place; ours, assumed until a workshop
     * knows better.
     */
    public static int assumedMinutes(Decision decision, @Nullable Place place) {
        return switch (decision) {
            case CLEAN_AND_REUSE, REPLACE_NEW -> place == null ? 10 : 30;
            case ADJUST -> 25;
            case REPAIR -> 60;
            case MAKE -> 180;
            case REPLACE_DONOR -> 15;
            case SEND_OUT, INTERIM -> 10;
            case LEAVE_BY_AGREEMENT, REUSE_ON_CONDITION -> 0;
        };
    }

    /** An hour's work seldom pays where another is to be had. */
    private void repairOrReplace() {
        Known.Bought bought = known.bought();
        Double price = bought == null ? null : bought.price();
        if (price == null || !reasons.has(REPLACE_NEW)) {
            return;
        }
        for (Decision hand : List.of(REPAIR, ADJUST)) {
            if (reasons.has(hand) && known.rate().isPresent()) {
                double rate = known.rate().getAsDouble();
                double mended = minutes(hand) / 60.0 * rate;
                double another = minutes(REPLACE_NEW) / 60.0 * rate + price;
                if (mended > another) {
                    reasons.say(hand, -1, "the time costs more than another one");
                } else {
                    reasons.say(hand, 1, "the time costs less than another one");
                }
            }
        }
    }

    private int minutes(Decision decision) {
        return times.minutes(decision).orElseGet(() -> assumedMinutes(decision, finding.place()));
    }

    private Way way(Decision decision) {
        List<Reason> all = reasons.of(decision).stream()
                .sorted(Comparator.comparingInt((Reason r) -> -Math.abs(r.weight())))
                .toList();
        Known.Bought bought = known.bought();
        String source = switch (decision) {
            case REPLACE_DONOR -> known.donors().stream().findFirst().orElse("");
            case REPLACE_NEW ->
                !known.drawers().isEmpty() ? known.drawers().get(0) : bought == null ? "" : bought.source();
            default -> "";
        };
        boolean reason = decision == LEAVE_BY_AGREEMENT || decision == INTERIM;
        String words = reason
                ? all.stream()
                        .filter(r -> r.weight() > 0)
                        .map(Reason::words)
                        .findFirst()
                        .orElse("")
                : "";
        boolean buys = decision == REPLACE_NEW && known.drawers().isEmpty();
        return new Way(
                decision,
                words,
                source,
                minutes(decision),
                times.minutes(decision).isPresent() ? times.timed(decision) : 0,
                buys && bought != null ? bought.price() : null,
                all.stream().mapToInt(Reason::weight).sum(),
                all);
    }
}
