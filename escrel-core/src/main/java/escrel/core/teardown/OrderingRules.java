package escrel.core.teardown;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.teardown.Constraint.Weight;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.DirectedAcyclicGraph;

/**
 * The rules an order of teardown obeys: the sheet's holds, the craft's safety rules (power down before the pallet
 * bridge, balance first), then the workshop's schools. A rule that would close a ring with weightier ones gives way.
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

    private final CalibreSheet sheet;
    private final Schools schools;
    private final List<Constraint> kept = new ArrayList<>();
    private final DirectedAcyclicGraph<String, DefaultEdge> graph = new DirectedAcyclicGraph<>(DefaultEdge.class);

    private OrderingRules(CalibreSheet sheet, Schools schools) {
        this.sheet = sheet;
        this.schools = schools;
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
        return List.copyOf(rules.kept);
    }

    private void holds() {
        sheet.parts().forEach(p -> graph.addVertex(p.code()));
        for (Hold hold : sheet.holds()) {
            graph.addEdge(hold.by(), hold.part());
            kept.add(new Constraint(hold.by(), hold.part(), Weight.HOLD, hold.why()));
        }
    }

    private void powerDown() {
        sheet.withRole(Role.POWER_DOWN)
                .ifPresent(power -> each(
                        p -> p.role() != null && NEEDS_POWER_DOWN.contains(p.role()),
                        p -> add(power, p, Weight.SAFETY, POWER_WHY)));
    }

    private void balance() {
        sheet.withRole(Role.BALANCE_COCK).ifPresent(balance -> {
            Weight weight = sheet.data().setting() == CalibreData.Setting.NONE ? Weight.SAFETY : Weight.SCHOOL;
            if (weight == Weight.SAFETY || schools.afterDial() == Schools.AfterDial.BALANCE_FIRST) {
                each(
                        p -> p.side() != Side.IN_HAND && !BEFORE_BALANCE.contains(p.group()) && p != balance,
                        p -> add(balance, p, weight, BALANCE_WHY));
            } else {
                sheet.withRole(Role.POWER_DOWN)
                        .ifPresent(power -> add(
                                power, balance, Weight.SCHOOL, "this workshop lets the power down before the balance"));
            }
            // neighbours of its cock whatever the school
            each(
                    p -> p.role() == Role.PALLET_BRIDGE || p.role() == Role.TRAIN_BRIDGE,
                    p -> add(balance, p, Weight.SAFETY, BALANCE_WHY));
        });
    }

    private void schools() {
        sheet.withRole(Role.DIAL)
                .ifPresent(dial -> each(
                        p -> p.side() != Side.IN_HAND && p.group() != Group.CASE && p.group() != Group.DIAL_AND_HANDS,
                        p -> add(dial, p, Weight.SCHOOL, DIAL_WHY)));
        if (schools.cannonPinion() == Schools.CannonPinion.AFTER_MINUTE_WHEEL) {
            between(Role.MINUTE_WHEEL, Role.CANNON_PINION, "drawing it later protects the teeth of the minute wheel");
        } else {
            between(Role.CANNON_PINION, Role.MINUTE_WHEEL, "this workshop draws the cannon pinion first");
        }
    }

    private void between(Role first, Role then, String why) {
        sheet.withRole(first).ifPresent(a -> sheet.withRole(then).ifPresent(b -> add(a, b, Weight.SCHOOL, why)));
    }

    private void each(Predicate<Part> which, Consumer<Part> act) {
        sheet.parts().stream().filter(which).forEach(act);
    }

    private void add(Part first, Part then, Weight weight, String why) {
        try {
            graph.addEdge(first.code(), then.code());
            kept.add(new Constraint(first.code(), then.code(), weight, why));
        } catch (IllegalArgumentException ring) {
            // a weightier rule says the opposite: this one gives way, which is what the weights are for
        }
    }
}
