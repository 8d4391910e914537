package escrel.core.supply;

import escrel.core.calibre.CalibreSheet;
import escrel.core.parts.Copies;
import escrel.core.parts.Copy;
import escrel.core.parts.Decision;
import escrel.core.parts.Finding;
import escrel.core.parts.Findings;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.supply.Want.State;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a job wants from elsewhere and how each of these things stands: worked out from findings, decisions, orders and the
 * copies at hand, so that nothing has to be said twice. A decision taken back or changed takes its want with it; an order
 * that is under way stays, since it is on its way whatever was decided since. Source: craft 2.10, M17.
 */
public final class Supply {
    private final Map<Integer, Order> orders = new LinkedHashMap<>();
    private final JobHistory history;
    private final List<Want> wants = new ArrayList<>();
    private final Copies copies;

    private Supply(JobHistory history, Copies copies) {
        this.history = history;
        this.copies = copies;
    }

    /** What is wanted after these steps. */
    public static Supply of(JobHistory history, Findings findings, CalibreSheet movement) {
        Supply supply = new Supply(history, findings.copies());
        history.counting(Ordered.class, PutOff.class, Came.class, CalledOff.class)
                .forEach(supply::fold);
        for (Finding finding : findings.all()) {
            supply.ofFinding(finding, movement);
        }
        supply.orders.values().stream()
                .filter(o -> supply.wants.stream().noneMatch(w -> w.order() == o.at()))
                .forEach(supply::byItself);
        return supply;
    }

    private void fold(RecordedStep entry) {
        if (entry.step() instanceof Ordered ordered) {
            orders.put(entry.sequence(), Order.placed(entry.sequence(), entry.at(), ordered));
        } else if (entry.step() instanceof PutOff to) {
            orders.computeIfPresent(to.order(), (k, o) -> o.putOff(to));
        } else if (entry.step() instanceof Came how) {
            orders.computeIfPresent(how.order(), (k, o) -> o.came(how, entry.sequence(), entry.at()));
        } else if (entry.step() instanceof CalledOff why) {
            orders.computeIfPresent(why.order(), (k, o) -> o.calledOff(why));
        }
    }

    private void ofFinding(Finding finding, CalibreSheet movement) {
        Decision decision = finding.decision().map(d -> d.decision()).orElse(null);
        if (decision == null) {
            return;
        }
        // an order of before another decision stands by itself: it is on its way all the same
        boolean orders =
                decision == Decision.REPLACE_NEW || decision == Decision.INTERIM || decision == Decision.SEND_OUT;
        Optional<Order> latest = this.orders.values().stream()
                .filter(o -> orders && finding.key().equals(o.what().finding()))
                .filter(o -> o.what().kind() == (decision == Decision.SEND_OUT ? Ordered.Kind.WORK : Ordered.Kind.PART))
                .reduce((earlier, later) -> later);
        // what came from elsewhere meanwhile settles the finding, never the order: that stands by itself
        boolean met = latest.isPresent()
                && (latest.get().isAwaited() || latest.get().isToCheck())
                && !isOfOrder(state(finding, decision, latest));
        Optional<Order> order = met ? Optional.empty() : latest;
        State state = state(finding, decision, order);
        if (state == null) {
            return;
        }
        String from =
                order.filter(o -> !o.isVoid()).map(o -> o.what().supplier()).orElse(finding.source());
        Optional<Order> live = order.filter(o -> !o.isVoid());
        wants.add(new Want(
                "f" + finding.key(),
                state,
                finding.key(),
                finding.part(),
                finding.where(movement),
                from,
                since(state, finding, order),
                live.map(Order::at).orElse(0),
                live.map(Order::expected).orElse(null),
                live.map(o -> o.what().price()).orElse(null),
                live.map(o -> o.what().size()).orElse(null),
                words(state, finding, order)));
    }

    private static boolean isOfOrder(@Nullable State state) {
        return state == State.ORDERED || state == State.OUT || state == State.TO_CHECK;
    }

    private @Nullable State state(Finding finding, Decision decision, Optional<Order> order) {
        return switch (decision) {
            case REPLACE_NEW, INTERIM -> {
                if (finding.isSettled() && !finding.isInterim()) {
                    yield order.isPresent() ? State.DONE : null;
                }
                yield ofCopy(finding, order)
                        .orElseGet(() -> Optional.of(ofOrder(order, State.TO_ORDER, State.ORDERED)))
                        .orElse(null);
            }
            case REPLACE_DONOR -> {
                if (finding.isSettled()) {
                    yield null;
                }
                yield ofCopy(finding, order)
                        .orElseGet(() -> Optional.of(State.TO_TAKE))
                        .orElse(null);
            }
            case SEND_OUT ->
                finding.isSettled()
                        ? order.map(o -> State.DONE).orElse(null)
                        : ofOrder(order, State.TO_SEND, State.OUT);
            case REUSE_ON_CONDITION -> finding.isSettled() ? State.CONDITION : null;
            default -> null;
        };
    }

    /** How it stands by the copy that came: outer nothing while none did, inner nothing when it is fitted and none ordered. */
    private Optional<Optional<State>> ofCopy(Finding finding, Optional<Order> order) {
        return copyOf(finding).map(c -> c.fittedAt() == 0 ? Optional.of(State.TO_FIT) : order.map(o -> State.DONE));
    }

    private static State ofOrder(Optional<Order> order, State before, State under) {
        if (order.isEmpty() || order.get().isVoid()) {
            return before;
        }
        return order.get().isAwaited() ? under : order.get().isToCheck() ? State.TO_CHECK : State.TO_FIT;
    }

    /** The copy that came for a finding; nothing for a piece of a part, which is no copy of it. */
    private Optional<Copy> copyOf(Finding finding) {
        String part = finding.part();
        return part == null || finding.isWithinPart()
                ? Optional.empty()
                : copies.of(part).stream()
                        .filter(c -> c.since() > finding.raisedAt())
                        .reduce((earlier, later) -> later);
    }

    private Instant since(State state, Finding finding, Optional<Order> order) {
        Instant decided = history.at(finding.decidedAt()).orElse(finding.at());
        return switch (state) {
            case ORDERED, OUT -> order.map(Order::placed).orElse(decided);
            case TO_CHECK -> order.map(Order::cameOn).orElse(decided);
            case TO_FIT ->
                copyOf(finding)
                        .map(c -> history.at(c.since()).orElse(decided))
                        .or(() -> order.map(Order::cameOn))
                        .orElse(decided);
            default -> order.filter(Order::isVoid).map(Order::cameOn).orElse(decided);
        };
    }

    private static String words(State state, Finding finding, Optional<Order> order) {
        if (state == State.CONDITION) {
            return finding.decision().map(d -> d.words()).orElse("");
        }
        if (state == State.TO_ORDER || state == State.TO_SEND) {
            String failed = order.map(o -> o.calledOff() != null
                            ? "called off: " + o.calledOff()
                            : o.came() == null
                                    ? ""
                                    : "what came was wrong: " + o.came().words())
                    .orElse("");
            if (!failed.isEmpty()) {
                return failed;
            }
        }
        return finding.isInterim() ? "the old one sits in its place meanwhile" : "";
    }

    /** An order no finding asks for, or no longer. */
    private void byItself(Order order) {
        Ordered what = order.what();
        String part = what.part();
        boolean fitted =
                part != null && copies.of(part).stream().anyMatch(c -> c.since() > order.at() && c.fittedAt() > 0);
        State state = State.DONE;
        if (order.isVoid()) {
            state = State.CALLED_OFF;
        } else if (order.isAwaited()) {
            state = what.kind() == Ordered.Kind.PART ? State.ORDERED : State.OUT;
        } else if (order.isToCheck()) {
            state = State.TO_CHECK;
        } else if (what.kind() == Ordered.Kind.PART && part != null && !fitted) {
            state = State.TO_FIT;
        }
        Instant came = order.cameOn();
        wants.add(new Want(
                "o" + order.at(),
                state,
                null,
                part,
                what.what(),
                what.supplier(),
                came == null ? order.placed() : came,
                order.at(),
                order.expected(),
                what.price(),
                what.size(),
                order.calledOff() == null ? "" : "called off: " + order.calledOff()));
    }

    /** Everything wanted, and what of it is done. */
    public List<Want> wants() {
        return List.copyOf(wants);
    }

    /** Every order, first placed first. */
    public List<Order> orders() {
        return List.copyOf(orders.values());
    }

    /** The order of this number, if there is one. */
    public Optional<Order> order(int at) {
        return Optional.ofNullable(orders.get(at));
    }

    /** The want of this key, if there is one. */
    public Optional<Want> want(String key) {
        return wants.stream().filter(w -> w.key().equals(key)).findFirst();
    }
}
