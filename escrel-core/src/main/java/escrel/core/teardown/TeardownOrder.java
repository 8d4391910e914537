package escrel.core.teardown;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.order.Constraint;
import escrel.core.order.Node;
import escrel.core.order.Rules;
import escrel.core.order.Sequencer;
import escrel.core.school.Schools;
import escrel.core.service.Lives;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The way down: in which order what is still on should come off. Keeps holds, safety rules and schools (in that weight),
 * then the fewest turn-overs, then groups together, then the order of the sheet. Source: M15.
 */
public final class TeardownOrder {
    private final TeardownState state;
    private final Rules rules;
    private final List<Part> remaining;
    private final int turnOvers;

    private TeardownOrder(TeardownState state, Rules rules, Sequencer.Sequence sequence) {
        this.state = state;
        this.rules = rules;
        this.remaining = sequence.nodes().stream()
                .map(n -> state.sheet().requirePart(n.code()))
                .toList();
        this.turnOvers = sequence.turnOvers();
    }

    /** The way down from this state under these schools: to the target of a partial service, or all that does not stay. */
    public static TeardownOrder from(TeardownState state, Schools schools) {
        return from(state, Rules.down(state.sheet(), schools));
    }

    /** The same with the rules of the sheet worked out before. */
    public static TeardownOrder from(TeardownState state, Rules down) {
        Optional<String> target = state.target();
        if (target.isPresent()) {
            return wayIn(state, down, target.get());
        }
        Set<String> staying = state.staying();
        Rules rules = underPresentPower(state, down);
        return over(
                state,
                rules,
                state.sheet().parts().stream()
                        .map(Part::code)
                        .filter(c -> !staying.contains(c))
                        .collect(Collectors.toSet()),
                List.of());
    }

    /** The way in to one part under these schools. */
    public static TeardownOrder wayIn(TeardownState state, Schools schools, String target) {
        return wayIn(state, Rules.down(state.sheet(), schools), target);
    }

    /**
     * The way in to one part: only what must come off, in order, the part itself last. The set is the closure of holds;
     * the power comes down always; the balance comes off where there is no shock setting or a neighbour of its cock is
     * worked on, and may stay otherwise. Source: M15.
     *
     * @param target code of a part on the sheet
     */
    public static TeardownOrder wayIn(TeardownState state, Rules down, String target) {
        CalibreSheet sheet = state.sheet();
        Rules rules = underPresentPower(state, down);
        Set<Node> wanted = rules.closure(Node.part(sheet.requirePart(target).code()), Constraint::wantsReason);
        for (Part power : sheet.allWithRole(Role.POWER_DOWN)) {
            boolean asked =
                    touchesMovement(sheet, target) && (power.group() != Group.ALARM || touchesAlarm(sheet, wanted));
            Set<Node> way = asked ? rules.closure(Node.part(power.code()), Constraint::wantsReason) : Set.of();
            // what lies beneath the target cannot come before it
            if (!way.contains(Node.part(target))) {
                wanted.addAll(way);
            }
        }
        List<Constraint> last = wanted.stream()
                .filter(n -> !n.code().equals(target))
                .map(n -> new Constraint(n, Node.part(target), Constraint.Weight.SAFETY, "the way in ends with it"))
                .toList();
        return over(state, rules, wanted.stream().map(Node::code).collect(Collectors.toSet()), last);
    }

    private static boolean touchesMovement(CalibreSheet sheet, String target) {
        Group group = sheet.requirePart(target).group();
        return group != Group.CASE && group != Group.DIAL_AND_HANDS && group != Group.MOTION_WORK;
    }

    /** An alarm's own barrel is let down only when its works, or a bridge over both barrels, come off. */
    private static boolean touchesAlarm(CalibreSheet sheet, Set<Node> wanted) {
        return sheet.parts().stream()
                .anyMatch(p -> wanted.contains(Node.part(p.code()))
                        && (p.group() == Group.ALARM && p.role() != null
                                || p.role() == Role.BARREL_BRIDGE
                                || p.role() == Role.TRAIN_BRIDGE));
    }

    /**
     * Where letting down by crown and ratchet screw was refused, the train is the way left: it wants the fork out while
     * there is still power, so for fork and its bridge the usual rule turns round. Source: craft 2.7.
     */
    private static Rules underPresentPower(TeardownState state, Rules down) {
        if (!state.lives().isCrownRefused()) {
            return down;
        }
        Set<String> powers = codes(state.sheet(), Role.POWER_DOWN);
        Set<String> fork = new HashSet<>(codes(state.sheet(), Role.PALLET_BRIDGE));
        fork.addAll(codes(state.sheet(), Role.PALLET_FORK));
        return down.without(
                c -> powers.contains(c.first().code()) && fork.contains(c.then().code()));
    }

    private static Set<String> codes(CalibreSheet sheet, Role role) {
        return sheet.allWithRole(role).stream().map(Part::code).collect(Collectors.toSet());
    }

    private static TeardownOrder over(
            TeardownState state, Rules rules, Set<String> concerned, List<Constraint> further) {
        // a habit about a part that stays on anyway has nothing to say; holds and safety always do
        Rules speaking = rules.without(
                c -> !c.wantsReason() && !concerned.contains(c.first().code()));
        List<Sequencer.Item> items = new ArrayList<>();
        Map<String, Integer> place = new HashMap<>();
        state.sheet().parts().forEach(p -> place.put(p.code(), place.size()));
        for (Part part : state.sheet().parts()) {
            if (concerned.contains(part.code()) && !state.isOff(part.code())) {
                items.add(new Sequencer.Item(
                        Node.part(part.code()), part.side(), part.group().name(), place.getOrDefault(part.code(), 0)));
            }
        }
        List<Constraint> all = new ArrayList<>(speaking.all());
        all.addAll(further);
        // a habit that speaks against the way in gives way
        return new TeardownOrder(
                state,
                speaking,
                Sequencer.order(
                        items, further.isEmpty() ? all : Rules.withoutRings(all).all(), bench(state.lives())));
    }

    /** Where the hands are, for the next plan. */
    public static Sequencer.Bench bench(Lives lives) {
        return new Sequencer.Bench(lives.sideUp().orElse(null), lives.lastGroup());
    }

    /** The side that lies up, if anything was done yet that says so. */
    public static Optional<Side> sideUp(TeardownState state) {
        return state.lives().sideUp();
    }

    /** What is still on, in the order in which it should come off. */
    public List<Part> remaining() {
        return remaining;
    }

    /** The part that should come off next, or nothing on a bare plate. */
    public Optional<Part> next() {
        return remaining.stream().findFirst();
    }

    /** How often the movement will be turned over. */
    public int turnOvers() {
        return turnOvers;
    }

    /** Minutes for the whole order by the sheet's usual times; parts without one count nothing. */
    public double minutes() {
        return minutes(StepTimes.NONE);
    }

    /** Minutes for the whole order by this workshop's own times, and by the sheet's where it has none yet. */
    public double minutes(StepTimes times) {
        return remaining.stream()
                .mapToDouble(p -> times.minutes(p.code()).orElse(p.minutes()))
                .sum();
    }

    /** What speaks against taking this part off now: all but what was only ever seen so. */
    public List<Constraint> brokenBy(String part) {
        return waitingFor(part).stream()
                .filter(c -> c.weight() != Constraint.Weight.SEEN)
                .toList();
    }

    /** Everything that comes before this part and is still on, weightiest first; empty when it may come off. */
    public List<Constraint> waitingFor(String part) {
        return rules.before(Node.part(part)).stream()
                .filter(c -> !state.isOff(c.first().code()))
                .collect(Collectors.toMap(Constraint::first, c -> c, (a, b) -> a, LinkedHashMap::new))
                .values()
                .stream()
                .toList();
    }
}
