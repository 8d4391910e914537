package escrel.core.order;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.order.Constraint.Weight;
import escrel.core.school.Choice;
import escrel.core.school.School;
import escrel.core.school.Schools;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** Every rule of the way down that has something to say on a sheet, rings not looked at yet. Source: craft 6. */
final class DownRules {
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
    private final List<Constraint> found = new ArrayList<>();

    private DownRules(CalibreSheet sheet, Schools schools) {
        this.sheet = sheet;
        this.schools = schools;
    }

    static List<Constraint> of(CalibreSheet sheet, Schools schools) {
        DownRules rules = new DownRules(sheet, schools);
        rules.holds();
        rules.powerDown();
        rules.balance();
        rules.handsAndDial();
        rules.sides();
        rules.seen();
        return rules.found;
    }

    private void holds() {
        for (Hold hold : sheet.holds()) {
            if (hold.basis() == Hold.Basis.STATED) {
                found.add(new Constraint(Node.part(hold.by()), Node.part(hold.part()), Weight.HOLD, hold.why()));
            }
        }
        // what came away together is parted in the hand: the unit first
        each(
                p -> p.unit() != null,
                p -> sheet.part(Objects.requireNonNull(p.unit()))
                        .ifPresent(unit ->
                                add(unit, p, Weight.HOLD, "it comes away with it and is parted in the hand", null)));
    }

    private void powerDown() {
        for (Part power : sheet.allWithRole(Role.POWER_DOWN)) {
            each(
                    p -> p.role() != null && NEEDS_POWER_DOWN.contains(p.role()) && Power.holds(power, p),
                    p -> add(power, p, Weight.SAFETY, POWER_WHY, null));
        }
    }

    private void balance() {
        sheet.withRole(Role.BALANCE_COCK).ifPresent(balance -> {
            boolean shock = sheet.data().setting() != CalibreData.Setting.NONE;
            if (!shock) {
                beforeMovementSide(balance, Weight.SAFETY);
            }
            // neighbours of its cock whatever the school
            each(
                    p -> p.role() == Role.PALLET_BRIDGE || p.role() == Role.TRAIN_BRIDGE,
                    p -> add(balance, p, Weight.SAFETY, BALANCE_WHY, null));
            if (schools.has(Choice.BALANCE_AT_ONCE)) {
                each(
                        p -> p != balance && p.role() != Role.CASE_BACK && p.side() != Side.IN_HAND,
                        p -> add(
                                balance,
                                p,
                                Weight.SCHOOL,
                                "this workshop takes the balance off at once, still in the case",
                                School.AFTER_DIAL));
            } else if (shock && schools.has(Choice.BALANCE_FIRST)) {
                beforeMovementSide(balance, Weight.SCHOOL);
            } else if (shock && schools.has(Choice.POWER_DOWN_FIRST)) {
                each(
                        Part::isPowerDown,
                        power -> add(
                                power,
                                balance,
                                Weight.SCHOOL,
                                "this workshop lets the power down before the balance",
                                School.AFTER_DIAL));
            } else if (shock && schools.has(Choice.BALANCE_LATE)) {
                each(
                        p -> p.group() == Group.AUTOMATIC && p.side() == Side.TRAIN,
                        p -> add(
                                p,
                                balance,
                                Weight.SCHOOL,
                                "this workshop takes the automatic work off before the balance",
                                School.AFTER_DIAL));
            }
        });
    }

    private void beforeMovementSide(Part balance, Weight weight) {
        each(
                p -> p.side() != Side.IN_HAND && !BEFORE_BALANCE.contains(p.group()) && p != balance,
                p -> add(balance, p, weight, BALANCE_WHY, weight == Weight.SCHOOL ? School.AFTER_DIAL : null));
    }

    private void handsAndDial() {
        sheet.withRole(Role.DIAL).ifPresent(dial -> {
            for (Part hand : sheet.allWithRole(Role.HANDS)) {
                add(hand, dial, Weight.SAFETY, "a dial lifted with hands on bends their pivots", null);
            }
            each(
                    p -> p.role() == Role.HOUR_WHEEL || p.role() == Role.CANNON_PINION,
                    p -> add(dial, p, Weight.SAFETY, "it lies under the dial", null));
            if (schools.has(Choice.DIAL_FIRST)) {
                each(
                        p -> p.side() != Side.IN_HAND
                                && p.group() != Group.CASE
                                && p.group() != Group.DIAL_AND_HANDS
                                && !(p.role() == Role.BALANCE_COCK && schools.has(Choice.BALANCE_AT_ONCE)),
                        p -> add(dial, p, Weight.SCHOOL, DIAL_WHY, School.DIAL_WHEN));
            }
        });
    }

    private void sides() {
        if (schools.has(Choice.AFTER_MINUTE_WHEEL)) {
            between(
                    Role.MINUTE_WHEEL,
                    Role.CANNON_PINION,
                    "drawing it later protects the teeth of the minute wheel",
                    School.CANNON_PINION);
        } else if (schools.has(Choice.CANNON_PINION_FIRST)) {
            between(
                    Role.CANNON_PINION,
                    Role.MINUTE_WHEEL,
                    "this workshop draws the cannon pinion first",
                    School.CANNON_PINION);
        }
        if (schools.has(Choice.FORK_BEFORE_TRAIN)) {
            between(
                    Role.PALLET_FORK,
                    Role.TRAIN_BRIDGE,
                    "this workshop takes the fork out before the train",
                    School.FORK_AND_TRAIN);
        } else if (schools.has(Choice.FORK_AFTER_TRAIN)) {
            between(
                    Role.TRAIN_BRIDGE,
                    Role.PALLET_BRIDGE,
                    "this workshop takes the train out before the fork",
                    School.FORK_AND_TRAIN);
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
                .forEach(h -> found.add(new Constraint(Node.part(h.by()), Node.part(h.part()), Weight.SEEN, h.why())));
    }

    private void all(Predicate<Part> first, Predicate<Part> then, String why) {
        List<Part> later = sheet.parts().stream()
                .filter(then)
                .sorted(Comparator.comparing(Part::code))
                .toList();
        each(first, a -> later.forEach(b -> add(a, b, Weight.SCHOOL, why, School.FIRST_SIDE)));
    }

    private void between(Role first, Role then, String why, School school) {
        sheet.withRole(first)
                .ifPresent(a -> sheet.withRole(then).ifPresent(b -> add(a, b, Weight.SCHOOL, why, school)));
    }

    private void each(Predicate<Part> which, Consumer<Part> act) {
        sheet.parts().stream().filter(which).forEach(act);
    }

    private void add(Part first, Part then, Weight weight, String why, @Nullable School school) {
        found.add(new Constraint(Node.part(first.code()), Node.part(then.code()), weight, why, school));
    }
}
