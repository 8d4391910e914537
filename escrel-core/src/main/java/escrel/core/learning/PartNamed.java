package escrel.core.learning;

import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.service.Step;
import java.util.List;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * A part nobody had a name for was named, by group and kind or in free words.
 *
 * @param code within the job, kept for good; the name may be corrected
 * @param unit code of the part it came away with and is parted from in the hand, or nothing
 */
public record PartNamed(
        String code,
        String name,
        Group group,
        Side side,
        @Nullable Role role,
        List<Hazard> hazards,
        @Nullable String unit)
        implements Step {
    public PartNamed {
        hazards = List.copyOf(hazards);
    }

    @Override
    public Step withParts(UnaryOperator<String> to) {
        return new PartNamed(
                to.apply(this.code), name, group, side, role, hazards, unit == null ? null : to.apply(unit));
    }

    /** The part as it stands on a sheet, before pins and later names. */
    public Part part() {
        return new Part(
                code,
                name,
                group,
                unit == null ? side : Side.IN_HAND,
                role,
                unit,
                hazards,
                "",
                "",
                wash().wash(),
                wash().why(),
                0,
                "",
                null);
    }

    private Vocabulary.Cleaning wash() {
        return Vocabulary.cleaning(group, role, name);
    }
}
