package escrel.core.teardown;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.service.JobHistory;
import escrel.core.service.Step;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Which parts of a movement are off, in the order in which they came off, which are on again, and which
 * are back for a visit only. Computed from
 * the recorded steps; a visit is not assembly.
 */
public final class TeardownState {
    private final CalibreSheet sheet;
    private final Map<String, PartOff> off = new LinkedHashMap<>();
    private final Set<String> onAgain = new LinkedHashSet<>();
    private final Set<String> visiting = new HashSet<>();
    private final Set<String> leftFitted = new LinkedHashSet<>();
    private final Map<String, String> statesSet = new LinkedHashMap<>();
    private String target = "";

    private TeardownState(CalibreSheet sheet) {
        this.sheet = sheet;
    }

    /** The state after these steps. Steps on parts the sheet does not have are left aside: another sheet may have them. */
    public static TeardownState of(CalibreSheet sheet, JobHistory history) {
        TeardownState state = new TeardownState(sheet);
        history.counting().forEach(entry -> {
            if (entry.step() instanceof PartOff step && sheet.part(step.part()).isPresent()) {
                state.takeOff(step);
            } else if (entry.step() instanceof PartOn step && state.off.containsKey(step.part())) {
                state.putOn(step.part());
            } else if (entry.step() instanceof Visit visit && state.isOff(visit.part())) {
                state.visit(visit);
            } else {
                state.otherwise(entry.step());
            }
        });
        return state;
    }

    private void otherwise(Step step) {
        if (step instanceof LeftFitted left) {
            left.parts().stream().filter(p -> sheet.part(p).isPresent()).forEach(leftFitted::add);
        } else if (step instanceof StateSet set) {
            statesSet.put(set.part(), set.state());
        } else if (step instanceof WayInPlanned plan
                && (plan.target().isEmpty() || sheet.part(plan.target()).isPresent())) {
            target = plan.target();
        }
    }

    private void takeOff(PartOff step) {
        leftFitted.remove(step.part());
        off.putIfAbsent(step.part(), step);
        onAgain.remove(step.part());
        visiting.remove(step.part());
    }

    private void putOn(String part) {
        onAgain.add(part);
        visiting.remove(part);
        Part fitted = sheet.requirePart(part);
        if (fitted.role() == Role.RATCHET_WHEEL) {
            // from here on it may be wound again, so a second way down must let the power down anew
            sheet.allWithRole(Role.POWER_DOWN).stream()
                    .filter(power -> OrderingRules.powers(power, fitted))
                    .map(Part::code)
                    .filter(off::containsKey)
                    .forEach(onAgain::add);
        }
    }

    private void visit(Visit visit) {
        if (visit.act() == Visit.Act.BEGIN) {
            visiting.add(visit.part());
        } else {
            visiting.remove(visit.part());
        }
    }

    /** The sheet this state speaks of. */
    public CalibreSheet sheet() {
        return sheet;
    }

    /** Codes of what came off, first to last. */
    public List<String> order() {
        return List.copyOf(off.keySet());
    }

    /** Whether a part is off now (a visit does not change that), or the power is down. */
    public boolean isOff(String part) {
        return off.containsKey(part) && !onAgain.contains(part);
    }

    /** Whether a part came off at some time in this service. */
    public boolean wasOff(String part) {
        return off.containsKey(part);
    }

    /** Whether a part came off and is on again for good. */
    public boolean isOnAgain(String part) {
        return onAgain.contains(part);
    }

    /** Codes of what is on again, in the order in which it went on. */
    public List<String> onAgain() {
        return List.copyOf(onAgain);
    }

    /** The step that took a part off. */
    public Optional<PartOff> stepOf(String part) {
        return Optional.ofNullable(off.get(part));
    }

    /** Parts that stay where they are in this service, by decision. */
    public Set<String> leftFitted() {
        return Set.copyOf(leftFitted);
    }

    /** Whether the state this part asks for before it is freed was said to be set. */
    public boolean isStateSet(String part) {
        return statesSet.containsKey(part);
    }

    /** The part to which the movement is opened and no further, or nothing for the whole. */
    public Optional<String> target() {
        return target.isEmpty() ? Optional.empty() : Optional.of(target);
    }

    /** Parts that lie in the movement for a visit only. */
    public Set<String> visiting() {
        return Set.copyOf(visiting);
    }

    /** Whether everything is off that this service takes off: the target of a way in, or all but what stays. */
    public boolean isBare() {
        if (target().isPresent()) {
            return isOff(target);
        }
        Set<String> staying = staying();
        return sheet.parts().stream().allMatch(p -> isOff(p.code()) || staying.contains(p.code()));
    }

    /** What stays on: parts left fitted by decision, and what those hold. */
    public Set<String> staying() {
        Set<String> staying = new HashSet<>();
        List<String> open = new ArrayList<>(leftFitted);
        while (!open.isEmpty()) {
            String part = open.remove(open.size() - 1);
            if (!isOff(part) && staying.add(part)) {
                sheet.heldBy(part).stream()
                        .filter(h -> h.basis() == Hold.Basis.STATED)
                        .map(Hold::part)
                        .forEach(open::add);
            }
        }
        return staying;
    }

    /** What still holds this part by what somebody stated, in the order of the sheet's holds. */
    public List<Part> heldBy(String part) {
        return sheet.holdsOn(part).stream()
                // what was only ever seen so is a habit, not a hold
                .filter(hold -> hold.basis() == Hold.Basis.STATED)
                .map(hold -> sheet.requirePart(hold.by()))
                .filter(by -> !isOff(by.code()))
                .distinct()
                .toList();
    }

    /** Parts still on that nothing holds: what can come off at this moment. Source: M15, "free now". */
    public List<Part> freeNow() {
        Set<String> staying = staying();
        return sheet.parts().stream()
                .filter(p -> !isOff(p.code())
                        && !staying.contains(p.code())
                        && heldBy(p.code()).isEmpty())
                .toList();
    }

    /** Screws that lie in the tray. */
    public List<ScrewPlace> screwsOut() {
        return sheet.screws().stream().filter(s -> isOff(s.part())).toList();
    }
}
