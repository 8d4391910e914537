package escrel.web.cases;

import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.calibre.Trait;
import escrel.core.calibre.Wash;
import escrel.core.learning.Vocabulary;
import escrel.core.watchcase.CasePart;
import escrel.core.watchcase.CaseSheet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A part of a case as its form says it.
 *
 * @param code of the part that is changed; empty for a new one
 */
record CaseForm(
        @Nullable String code,
        @Nullable String name,
        CasePart.@Nullable Kind kind,
        CasePart.@Nullable Face face,
        @Nullable Double diameter,
        @Nullable Double height,
        @Nullable String fit,
        @Nullable Boolean twoWays,
        @Nullable Boolean alwaysNew,
        @Nullable Boolean flies,
        @Nullable List<CasePart.Inside> holds,
        @Nullable String lies,
        @Nullable String liftFrom,
        @Nullable String note) {
    /** The part it makes, on a case. */
    CasePart on(CaseSheet sheet) {
        CasePart.Kind what = kind == null ? CasePart.Kind.OTHER : kind;
        CasePart.Face where = face == null ? what.usualFace() : face;
        // of a new part what its kind usually is, where the form says nothing
        boolean begins = text(code).isEmpty();
        String words = text(name).isEmpty() ? what.words() : text(name);
        Part part = sheet.part(text(code)).map(CasePart::part).orElseGet(() -> begun(sheet, what, words));
        part = part.name().equals(words) ? part : part.withName(words);
        part = part.withSide(where == CasePart.Face.FRONT ? Side.DIAL : Side.TRAIN)
                .with(Trait.LIES, text(lies))
                .with(Trait.LIFTS_FROM, text(liftFrom))
                .with(Trait.NOTE, text(note));
        if (part.has(Hazard.FLIES) != Boolean.TRUE.equals(flies)) {
            part = part.with(Trait.FLIES, Boolean.TRUE.equals(flies) ? Trait.YES : "");
        }
        return new CasePart(
                part,
                what,
                where,
                diameter == null ? 0 : diameter,
                height == null ? 0 : height,
                text(fit),
                Boolean.TRUE.equals(twoWays),
                alwaysNew == null ? begins && what.isSeal() : alwaysNew,
                holds != null ? Set.copyOf(holds) : begins ? what.usualHolds() : Set.of());
    }

    private static Part begun(CaseSheet sheet, CasePart.Kind what, String words) {
        Set<String> taken = sheet.parts().stream().map(CasePart::code).collect(Collectors.toSet());
        Part part = Part.of(Vocabulary.codeFor(words, taken), words, Group.CASE, Side.TRAIN);
        boolean back = what == CasePart.Kind.BACK;
        return (back ? part.withRole(Role.CASE_BACK) : part)
                .withWash(
                        what.isSeal() ? Wash.BY_HAND : Wash.WATER_BATH,
                        what.isSeal()
                                ? "seals swell in solvent: wiped, or new"
                                : "cases go through their own water-based bath");
    }

    private static String text(@Nullable String words) {
        return words == null ? "" : words.strip();
    }
}
