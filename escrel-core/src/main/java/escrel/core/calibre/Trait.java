package escrel.core.calibre;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** What can be learnt of a part by taking it off, besides its name, place, holds and screws. Source: craft 2.7, 10. */
public enum Trait {
    /** Which face is up, which of two positions. */
    LIES(Part::orientation),
    /** Which end lifts first, where the slot is. */
    LIFTS_FROM(Part::liftFrom),
    /** How its clip lies: which face, where the gap. */
    CLIP(Part::clip),
    /** State everything must be in before it is freed. */
    STATE_BEFORE(Part::stateBefore),
    /** Code of the part it is pressed to. */
    STAYS_WITH(p -> p.staysWith() == null ? "" : p.staysWith()),
    /** It jumps. */
    FLIES(p -> has(p, Hazard.FLIES)),
    /** It bends under a touch. */
    FRAGILE(p -> has(p, Hazard.FRAGILE)),
    /** A long, thin pivot. */
    LONG_PIVOT(p -> has(p, Hazard.LONG_PIVOT)),
    /** Drawn along its axis. */
    FRICTION_FIT(p -> has(p, Hazard.FRICTION_FIT)),
    /** Coated: not into the machine. */
    COATED(p -> has(p, Hazard.COATED)),
    /** What else is to be known: the tool or blade that fitted, the side a drum opens at. */
    NOTE(Part::note);

    /** What a hazard that is there is written as. */
    public static final String YES = "yes";

    private final Function<Part, String> reading;

    Trait(Function<Part, String> reading) {
        this.reading = reading;
    }

    private static String has(Part part, Hazard hazard) {
        return part.has(hazard) ? YES : "";
    }

    /** What is known of it of a part; empty when nothing is. */
    public String of(Part part) {
        return reading.apply(part);
    }

    /** Whether it is there or not, with nothing more to say. */
    public boolean isHazard() {
        return hazard() != null;
    }

    @Nullable
    Hazard hazard() {
        return switch (this) {
            case FLIES -> Hazard.FLIES;
            case FRAGILE -> Hazard.FRAGILE;
            case LONG_PIVOT -> Hazard.LONG_PIVOT;
            case FRICTION_FIT -> Hazard.FRICTION_FIT;
            case COATED -> Hazard.COATED;
            default -> null;
        };
    }

    /** In words, before what is said of it: "lies", "lifts from". */
    public String words() {
        return switch (this) {
            case STATE_BEFORE -> "released in this state";
            case STAYS_WITH -> "stays with";
            case NOTE -> "to be known";
            default -> name().toLowerCase(Locale.ROOT).replace('_', ' ');
        };
    }

    /** The hazards of a part with this one there or gone. */
    List<Hazard> hazards(Part part, boolean there) {
        List<Hazard> hazards = new ArrayList<>(part.hazards());
        Hazard own = hazard();
        if (own == null) {
            return hazards;
        }
        hazards.remove(own);
        if (there) {
            hazards.add(own);
        }
        return hazards;
    }
}
