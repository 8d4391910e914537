package escrel.core.teardown;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.school.Schools;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The way down: in which order what is still on should come off. Keeps holds, safety rules and schools (in that weight),
 * then the fewest turn-overs, then groups together, then the order of the sheet. Source: M15.
 */
public final class TeardownOrder {
    private final TeardownState state;
    private final List<Constraint> constraints;
    private final List<Part> remaining;
    private final int turnOvers;

    private TeardownOrder(TeardownState state, List<Constraint> constraints, Sequencer.Sequence sequence) {
        this.state = state;
        this.constraints = constraints;
        this.remaining = sequence.ids().stream().map(state.sheet()::requirePart).toList();
        this.turnOvers = sequence.turnOvers();
    }

    /** The way down from this state under these schools: to the target of a partial service, or all that does not stay. */
    public static TeardownOrder from(TeardownState state, Schools schools) {
        Optional<String> target = state.target();
        if (target.isPresent()) {
            return wayIn(state, schools, target.get());
        }
        Set<String> staying = state.staying();
        return over(
                state,
                OrderingRules.of(state.sheet(), schools),
                state.sheet().parts().stream()
                        .filter(p -> !staying.contains(p.code()))
                        .toList());
    }

    /**
     * The way in to one part: only what must come off, in order, the part itself last. The set is the closure of holds;
     * the power comes down always; the balance comes off where there is no shock setting or a neighbour of its cock is
     * worked on, and may stay otherwise. Source: M15.
     *
     * @param target code of a part on the sheet
     */
    public static TeardownOrder wayIn(TeardownState state, Schools schools, String target) {
        CalibreSheet sheet = state.sheet();
        List<Constraint> rules = OrderingRules.of(sheet, schools);
        Set<String> wanted = new HashSet<>();
        close(sheet.requirePart(target).code(), rules, wanted);
        sheet.allWithRole(Role.POWER_DOWN).stream()
                .filter(power -> touchesMovement(sheet, target))
                .filter(power -> power.group() != Group.ALARM || touchesAlarm(sheet, wanted))
                .forEach(power -> close(power.code(), rules, wanted));
        return over(
                state,
                rules,
                sheet.parts().stream().filter(p -> wanted.contains(p.code())).toList());
    }

    private static boolean touchesMovement(CalibreSheet sheet, String target) {
        Group group = sheet.requirePart(target).group();
        return group != Group.CASE && group != Group.DIAL_AND_HANDS && group != Group.MOTION_WORK;
    }

    /** An alarm's own barrel is let down only when its works, or a bridge over both barrels, come off. */
    private static boolean touchesAlarm(CalibreSheet sheet, Set<String> wanted) {
        return sheet.parts().stream()
                .anyMatch(p -> wanted.contains(p.code())
                        && (p.group() == Group.ALARM && p.role() != null
                                || p.role() == Role.BARREL_BRIDGE
                                || p.role() == Role.TRAIN_BRIDGE));
    }

    private static void close(String part, List<Constraint> rules, Set<String> wanted) {
        if (wanted.add(part)) {
            rules.stream()
                    .filter(c -> c.weight().compareTo(Constraint.Weight.SCHOOL) < 0
                            && c.then().equals(part))
                    .forEach(c -> close(c.first(), rules, wanted));
        }
    }

    private static TeardownOrder over(TeardownState state, List<Constraint> constraints, Collection<Part> parts) {
        Set<String> concerned = parts.stream().map(Part::code).collect(Collectors.toSet());
        // a habit about a part that stays on anyway has nothing to say; holds and safety always do
        List<Constraint> speaking = constraints.stream()
                .filter(c -> c.weight().compareTo(Constraint.Weight.SCHOOL) < 0 || concerned.contains(c.first()))
                .toList();
        List<Sequencer.Item> items = new ArrayList<>();
        List<Part> sheetOrder = state.sheet().parts();
        for (Part part : parts) {
            if (!state.isOff(part.code())) {
                items.add(new Sequencer.Item(
                        part.code(), part.side(), part.group().name(), sheetOrder.indexOf(part)));
            }
        }
        return new TeardownOrder(
                state, speaking, Sequencer.order(items, speaking, sideUp(state).orElse(null)));
    }

    /** The side that was worked on last, if anything came off yet. */
    public static Optional<Side> sideUp(TeardownState state) {
        List<String> order = state.order();
        for (int i = order.size() - 1; i >= 0; i--) {
            Side side = state.sheet().requirePart(order.get(i)).side();
            if (side != Side.IN_HAND) {
                return Optional.of(side);
            }
        }
        return Optional.empty();
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

    /** What speaks against taking this part off now and wants a reason: all but what was only ever seen so. */
    public List<Constraint> brokenBy(String part) {
        return waitingFor(part).stream()
                .filter(c -> c.weight() != Constraint.Weight.SEEN)
                .toList();
    }

    /** Everything that comes before this part and is still on, weightiest first; empty when it may come off. */
    public List<Constraint> waitingFor(String part) {
        return constraints.stream()
                .filter(c -> c.then().equals(part) && !state.isOff(c.first()))
                .sorted(Comparator.comparing(Constraint::weight))
                .collect(Collectors.toMap(Constraint::first, c -> c, (a, b) -> a, LinkedHashMap::new))
                .values()
                .stream()
                .toList();
    }
}
