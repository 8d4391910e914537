package escrel.core.parts;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.condition.Place;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Every end-shake that was felt or measured, and which of them answers for a piece that was renewed: another jewel, hole,
 * setting or bridge makes the end-shake it touches due again. Source: craft 2.10.
 */
final class Shakes {
    private static final Set<Place.Kind> OF_A_PLACE = Set.of(Place.Kind.JEWEL, Place.Kind.HOLE, Place.Kind.SETTING);
    private static final Set<Role> BRIDGES =
            Set.of(Role.TRAIN_BRIDGE, Role.BARREL_BRIDGE, Role.PALLET_BRIDGE, Role.BALANCE_COCK);

    private record Shake(int at, String part, boolean mayStay) {}

    private final List<Shake> all = new ArrayList<>();
    private final CalibreSheet sheet;
    private final boolean anywhere;

    Shakes(CalibreSheet sheet, JobHistory history) {
        this.sheet = sheet;
        this.anywhere = !history.ruleBook().shakeWhereItBelongs();
        for (RecordedStep entry : history.counting(Felt.class, Gauged.class)) {
            if (entry.step() instanceof Felt felt && felt.what() == Felt.Play.END_SHAKE) {
                all.add(new Shake(entry.sequence(), felt.part(), felt.feel().mayStay()));
            } else if (entry.step() instanceof Gauged gauged && gauged.what() == Gauged.What.END_SHAKE) {
                // no limits are kept: who measured it judged it
                all.add(new Shake(entry.sequence(), gauged.part(), true));
            }
        }
    }

    /** Whether renewing this place touches an end-shake. */
    static boolean isTouchedBy(@Nullable Place place) {
        return place != null && OF_A_PLACE.contains(place.kind());
    }

    /** Whether another copy of this part touches an end-shake: a bridge or cock with something running under it. */
    boolean isTouchedBy(String part) {
        return !anywhere
                && sheet.part(part).map(Part::role).filter(BRIDGES::contains).isPresent();
    }

    /** What is wanting of the end-shake at this part, or the main plate, since a step, in words; nothing when it is right. */
    @Nullable
    String owed(@Nullable String part, int since) {
        Set<String> there = touching(part);
        Shake last = all.stream()
                .filter(s -> s.at() > since && (there.isEmpty() || there.contains(s.part())))
                .reduce((earlier, later) -> later)
                .orElse(null);
        if (last == null) {
            return "its end-shake is to be felt or measured";
        }
        return last.mayStay() ? null : "its end-shake is not right: adjust it, then feel again";
    }

    /** The part, what travels with it and what it holds down; empty where any will do, since the sheet does not say what runs there. */
    private Set<String> touching(@Nullable String part) {
        Set<String> there = new HashSet<>();
        if (!anywhere && part != null) {
            sheet.heldBy(part).stream().map(Hold::part).forEach(there::add);
            // what travels with it, as the balance in its cock
            sheet.parts().stream()
                    .filter(p -> part.equals(p.unit()))
                    .map(Part::code)
                    .forEach(there::add);
            if (!there.isEmpty()) {
                there.add(part);
            }
        }
        return there;
    }
}
