package escrel.core.teardown;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.teardown.Constraint.Weight;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;

/**
 * The rules an order of teardown obeys: the sheet's stated holds, the craft's safety rules (power down before the pallet
 * bridge, balance first), the workshop's schools, and last what was only ever seen so. A rule that would close a ring
 * with weightier ones gives way.
 */
public final class OrderingRules {
    private static final String POWER_WHY =
            "the power must be down first: a train released under power spins and breaks pivots";
    private static final String BALANCE_WHY =
            "the balance is the most delicate part and comes off before work around its cock";
    private static final String DIAL_WHY = "hands and dial come off first, so that nothing presses on them";
    private static final Set<Role> NEEDS_POWER_DOWN =
            Set.of(Role.PALLET_BRIDGE, Role.RATCHET_WHEEL, Role.TRAIN_BRIDGE, Role.BARREL_BRIDGE);
    private static final Set<Group> BEFORE_BALANCE =
            Set.of(Group.CASE, Group.DIAL_AND_HANDS, Group.MOTION_WORK, Group.CALENDAR, Group.AUTOMATIC);
    private static final Set<Group> DIAL_SIDE_WORK = Set.of(Group.KEYLESS, Group.MOTION_WORK, Group.CALENDAR);
    private static final Set<Group> TRAIN_SIDE_WORK = Set.of(Group.TRAIN, Group.BARREL);

    private final CalibreSheet sheet;
    private final Schools schools;
    private final List<Constraint> kept = new ArrayList<>();
    private final Precedence precedence;

    private OrderingRules(CalibreSheet sheet, Schools schools) {
        this.sheet = sheet;
        this.schools = schools;
        this.precedence = new Precedence(sheet.parts().stream().map(Part::code).toList());
    }

    /**
     * The rules for a sheet under these schools, weightiest first and free of rings.
     *
     * @throws IllegalArgumentException when the sheet's own holds form a ring, which {@code SheetCheck} names
     */
    public static List<Constraint> of(CalibreSheet sheet, Schools schools) {
        OrderingRules rules = new OrderingRules(sheet, schools);
        rules.holds();
        rules.powerDown();
        rules.balance();
        rules.schools();
        rules.seen();
        return List.copyOf(rules.kept);
    }

    /** Whether letting down this power is what a part must wait for: an alarm's barrel is let down by itself. */
    static boolean powers(Part power, Part part) {
        boolean alarm = power.group() == Group.ALARM;
        if (part.role() == Role.RATCHET_WHEEL || part.role() == Role.PALLET_BRIDGE) {
            return alarm == (part.group() == Group.ALARM);
        }
        return true;
    }

    private void holds() {
        for (Hold hold : sheet.holds()) {
            if (hold.basis() == Hold.Basis.STATED) {
                if (!precedence.add(hold.by(), hold.part())) {
                    throw new IllegalArgumentException(
                            "the holds of the sheet form a ring at " + hold.by() + " and " + hold.part());
                }
                kept.add(new Constraint(hold.by(), hold.part(), Weight.HOLD, hold.why()));
            }
        }
    }

    private void powerDown() {
        for (Part power : sheet.allWithRole(Role.POWER_DOWN)) {
            each(
                    p -> p.role() != null && NEEDS_POWER_DOWN.contains(p.role()) && powers(power, p),
                    p -> add(power, p, Weight.SAFETY, POWER_WHY));
        }
    }

    private void balance() {
        sheet.withRole(Role.BALANCE_COCK).ifPresent(balance -> {
            Weight weight = sheet.data().setting() == CalibreData.Setting.NONE ? Weight.SAFETY : Weight.SCHOOL;
            if (weight == Weight.SAFETY || schools.has(Choice.BALANCE_FIRST)) {
                each(
                        p -> p.side() != Side.IN_HAND && !BEFORE_BALANCE.contains(p.group()) && p != balance,
                        p -> add(balance, p, weight, BALANCE_WHY));
            } else if (schools.has(Choice.POWER_DOWN_FIRST)) {
                sheet.allWithRole(Role.POWER_DOWN)
                        .forEach(power -> add(
                                power, balance, Weight.SCHOOL, "this workshop lets the power down before the balance"));
            }
            // neighbours of its cock whatever the school
            each(
                    p -> p.role() == Role.PALLET_BRIDGE || p.role() == Role.TRAIN_BRIDGE,
                    p -> add(balance, p, Weight.SAFETY, BALANCE_WHY));
        });
    }

    private void schools() {
        if (schools == Schools.NONE) {
            return;
        }
        sheet.withRole(Role.DIAL)
                .ifPresent(dial -> each(
                        p -> p.side() != Side.IN_HAND && p.group() != Group.CASE && p.group() != Group.DIAL_AND_HANDS,
                        p -> add(dial, p, Weight.SCHOOL, DIAL_WHY)));
        if (schools.has(Choice.AFTER_MINUTE_WHEEL)) {
            between(Role.MINUTE_WHEEL, Role.CANNON_PINION, "drawing it later protects the teeth of the minute wheel");
        } else if (schools.has(Choice.CANNON_PINION_FIRST)) {
            between(Role.CANNON_PINION, Role.MINUTE_WHEEL, "this workshop draws the cannon pinion first");
        }
        Predicate<Part> dialSide = p -> p.side() == Side.DIAL && DIAL_SIDE_WORK.contains(p.group());
        Predicate<Part> trainSide =
                p -> p.side() == Side.TRAIN && TRAIN_SIDE_WORK.contains(p.group()) && !p.isPowerDown();
        if (schools.has(Choice.DIAL_SIDE_FIRST)) {
            all(dialSide, trainSide, "this workshop strips the dial side to the bare plate first");
        } else if (schools.has(Choice.TRAIN_FIRST)) {
            all(
                    trainSide,
                    p -> dialSide.test(p) && p.group() == Group.KEYLESS,
                    "this workshop leaves the keyless work for last");
        }
    }

    private void seen() {
        sheet.holds().stream()
                .filter(h -> h.basis() == Hold.Basis.SEEN)
                .filter(h -> precedence.add(h.by(), h.part()))
                .forEach(h -> kept.add(new Constraint(h.by(), h.part(), Weight.SEEN, h.why())));
    }

    private void all(Predicate<Part> first, Predicate<Part> then, String why) {
        List<Part> later = sheet.parts().stream()
                .filter(then)
                .sorted(Comparator.comparing(Part::code))
                .toList();
        each(first, a -> later.forEach(b -> add(a, b, Weight.SCHOOL, why)));
    }

    private void between(Role first, Role then, String why) {
        sheet.withRole(first).ifPresent(a -> sheet.withRole(then).ifPresent(b -> add(a, b, Weight.SCHOOL, why)));
    }

    private void each(Predicate<Part> which, Consumer<Part> act) {
        sheet.parts().stream().filter(which).forEach(act);
    }

    /** A weightier rule may say the opposite: this one gives way then, which is what the weights are for. */
    private void add(Part first, Part then, Weight weight, String why) {
        if (precedence.add(first.code(), then.code())) {
            kept.add(new Constraint(first.code(), then.code(), weight, why));
        }
    }
}
