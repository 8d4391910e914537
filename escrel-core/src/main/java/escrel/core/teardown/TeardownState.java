package escrel.core.teardown;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.service.JobHistory;
import escrel.core.service.Lives;
import escrel.core.service.PartOff;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The movement in the present round: what came off in it (and what was off still when it began), what is on again, what
 * holds what. A view of the job's {@link Lives} over the holds of the sheet; a visit is not assembly.
 */
public final class TeardownState {
    private final CalibreSheet sheet;
    private final Lives lives;

    private TeardownState(Lives lives) {
        this.sheet = lives.sheet();
        this.lives = lives;
    }

    /** The state after these steps. */
    public static TeardownState of(CalibreSheet sheet, JobHistory history) {
        return of(Lives.of(sheet, history));
    }

    /** The state these lives have led to. */
    public static TeardownState of(Lives lives) {
        return new TeardownState(lives);
    }

    /** The sheet this state speaks of. */
    public CalibreSheet sheet() {
        return sheet;
    }

    /** Each part's episodes, and the rounds. */
    public Lives lives() {
        return lives;
    }

    /** Codes of what came off in the present round, first to last. */
    public List<String> order() {
        return lives.round().lifted();
    }

    /** Whether a part is off now (a visit does not change that), or the power is down. */
    public boolean isOff(String part) {
        return lives.isOff(part);
    }

    /** Whether a part came off in the present round. */
    public boolean wasOff(String part) {
        return order().contains(part);
    }

    /** Whether a part came off in the present round and is on again for good. */
    public boolean isOnAgain(String part) {
        return lives.onAgain().contains(part);
    }

    /** Codes of what is on again, in the order in which it went on. */
    public List<String> onAgain() {
        return List.copyOf(lives.onAgain());
    }

    /** The step that took a part off last. */
    public Optional<PartOff> stepOf(String part) {
        return lives.episode(part).flatMap(e -> Optional.ofNullable(e.off()));
    }

    /** Parts that stay where they are in this round, by decision. */
    public Set<String> leftFitted() {
        return lives.leftFitted();
    }

    /** Whether the state this part asks for before it is freed was said to be set. */
    public boolean isStateSet(String part) {
        return lives.isStateSet(part);
    }

    /** The part to which the movement is opened and no further, or nothing for the whole. */
    public Optional<String> target() {
        String target = lives.round().target();
        return target.isEmpty() || sheet.part(target).isEmpty() ? Optional.empty() : Optional.of(target);
    }

    /** Parts that lie in the movement for a visit only. */
    public Set<String> visiting() {
        return lives.visiting();
    }

    /** Whether any home is empty that is not to stay so. */
    public boolean isAnyOff() {
        return sheet.homes().stream().anyMatch(p -> isOff(p.code()) && !isLeftOut(p.code()));
    }

    /** Whether a home is left empty on purpose. */
    public boolean isLeftOut(String part) {
        return lives.leftOut().containsKey(part);
    }

    /** Whether everything is off that this round takes off: the target of a way in, or all but what stays. */
    public boolean isBare() {
        Optional<String> target = target();
        if (target.isPresent()) {
            return isOff(target.get());
        }
        Set<String> staying = staying();
        return sheet.homes().stream().allMatch(p -> isOff(p.code()) || staying.contains(p.code()));
    }

    /** What stays on: what a case keeps unless it is wanted, parts left fitted by decision, and what those hold. */
    public Set<String> staying() {
        Set<String> staying = new HashSet<>();
        sheet.allWithRole(Role.STAYS_IN_CASE).stream()
                .map(Part::code)
                .filter(p -> !isOff(p))
                .forEach(staying::add);
        List<String> open = new ArrayList<>(leftFitted());
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
}
