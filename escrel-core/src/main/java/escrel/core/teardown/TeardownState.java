package escrel.core.teardown;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.service.JobHistory;
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
            }
        });
        return state;
    }

    private void takeOff(PartOff step) {
        off.putIfAbsent(step.part(), step);
        onAgain.remove(step.part());
        visiting.remove(step.part());
    }

    private void putOn(String part) {
        onAgain.add(part);
        visiting.remove(part);
        if (sheet.requirePart(part).role() == Role.RATCHET_WHEEL) {
            // from here on it may be wound again, so a second way down must let the power down anew
            sheet.withRole(Role.POWER_DOWN)
                    .map(Part::code)
                    .filter(off::containsKey)
                    .ifPresent(onAgain::add);
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

    /** Parts that lie in the movement for a visit only. */
    public Set<String> visiting() {
        return Set.copyOf(visiting);
    }

    /** Whether everything on the sheet is off. */
    public boolean isBare() {
        return sheet.parts().stream().allMatch(p -> isOff(p.code()));
    }

    /** What still holds this part, in the order of the sheet's holds. */
    public List<Part> heldBy(String part) {
        return sheet.holdsOn(part).stream()
                .map(hold -> sheet.requirePart(hold.by()))
                .filter(by -> !isOff(by.code()))
                .distinct()
                .toList();
    }

    /** Parts still on that nothing holds: what can come off at this moment. Source: M15, "free now". */
    public List<Part> freeNow() {
        return sheet.parts().stream()
                .filter(p -> !isOff(p.code()) && heldBy(p.code()).isEmpty())
                .toList();
    }

    /** Screws that lie in the tray. */
    public List<ScrewPlace> screwsOut() {
        return sheet.screws().stream().filter(s -> isOff(s.part())).toList();
    }
}
