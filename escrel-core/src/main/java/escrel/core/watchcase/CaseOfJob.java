package escrel.core.watchcase;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.SheetCheck;
import escrel.core.learning.PartNamed;
import escrel.core.service.JobHistory;
import escrel.core.watchcase.CasePart.Inside;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The case of a job: its sheet, or none that is known, with what the job says of it. */
public final class CaseOfJob {
    private CaseOfJob() {}

    /**
     * The case as the job knows it; nothing where neither a sheet nor a word speaks of it.
     *
     * @param bound the sheet of the case, if the job is bound to one
     */
    public static Optional<CaseSheet> of(@Nullable CaseSheet bound, JobHistory history) {
        Optional<String> opens = said(history, CaseSaid.Fact.OPENS);
        Optional<String> crown = said(history, CaseSaid.Fact.SCREW_DOWN_CROWN);
        if (bound == null && opens.isEmpty() && crown.isEmpty()) {
            return Optional.empty();
        }
        Opens way = opens.map(Opens::valueOf).orElse(Opens.NOT_SAID);
        CaseSheet sheet =
                bound == null ? CaseSheet.plain(way) : way == Opens.NOT_SAID ? bound : openedOtherwise(bound, way);
        return Optional.of(crown.map(c -> sheet.withCrowns(crowns(sheet, c.equals(CaseSaid.YES))))
                .orElse(sheet));
    }

    /** A case opens at the front only where something lies there: else the sheet stays as it is. */
    private static CaseSheet openedOtherwise(CaseSheet bound, Opens way) {
        CaseSheet other = bound.opening(way);
        return CaseCheck.faultsOf(other).isEmpty() ? other : bound;
    }

    private static List<CaseSheet.Crown> crowns(CaseSheet sheet, boolean screwDown) {
        if (sheet.crowns().isEmpty()) {
            return List.of(new CaseSheet.Crown("", screwDown));
        }
        List<CaseSheet.Crown> said = new ArrayList<>();
        sheet.crowns().forEach(c -> said.add(new CaseSheet.Crown(c.place(), screwDown)));
        return said;
    }

    private static Optional<String> said(JobHistory history, CaseSaid.Fact fact) {
        return history.all(CaseSaid.class)
                .filter(s -> s.fact() == fact)
                .reduce((a, b) -> b)
                .map(CaseSaid::value)
                .filter(v -> !v.equals(CaseSaid.NOT_SAID));
    }

    /**
     * What decides how a movement lies in its case.
     *
     * @param known the case as the job knows it; nothing where neither a sheet nor a word speaks of it
     * @param caseBound whether the job is bound to a sheet of its case
     * @param partNamed whether the job names parts of the case itself
     * @param touched codes of case parts, of those the movement's own sheet has, that steps of the job speak of
     */
    public record Around(
            CalibreSheet movement,
            Optional<CaseSheet> known,
            boolean caseBound,
            boolean partNamed,
            Set<String> touched) {
        /** The movement in its case. */
        public CalibreSheet sheet() {
            boolean bringsItsOwn = movement.parts().stream().anyMatch(CaseSheet::isOfCase);
            if (known.isEmpty()) {
                // a sheet of earlier versions carries a case itself, a job may name its case part by part;
                // of a movement nobody knows nothing is supposed
                return bringsItsOwn || partNamed || movement.parts().isEmpty()
                        ? movement
                        : Cased.of(movement, CaseSheet.plain(Opens.NOT_SAID), touched);
            }
            return bringsItsOwn && !caseBound
                    ? Cased.of(movement, standIn(movement, known.get()), touched)
                    : Cased.of(movement, known.get(), touched);
        }
    }

    /**
     * A movement and what a job says of the case around it.
     *
     * @param movement its sheet; without parts while the calibre is unknown
     * @param bound the case's sheet, if the job is bound to one
     * @param spokenOf codes that steps of the job speak of; only asked where the movement's sheet has a case of its own
     */
    public static Around around(
            CalibreSheet movement, @Nullable CaseSheet bound, JobHistory history, Supplier<Set<String>> spokenOf) {
        boolean named = history.all(PartNamed.class)
                .map(PartNamed::part)
                .filter(CaseSheet::isOfCase)
                .anyMatch(
                        p -> !p.code().equals(CalibreSheet.CLOSED) && !p.code().equals(CalibreSheet.CASED));
        Set<String> touched = movement.parts().stream()
                .filter(CaseSheet::isOfCase)
                .map(Part::code)
                .collect(Collectors.toSet());
        if (bound == null) {
            touched = Set.of();
        } else if (!touched.isEmpty()) {
            touched.retainAll(spokenOf.get());
        }
        return new Around(movement, of(bound, history), bound != null, named, touched);
    }

    /** A stem that was named on the bench passes through the case as any other: the movement leaves after it. */
    public static CalibreSheet withNamedStems(CalibreSheet sheet) {
        if (sheet.part(CalibreSheet.CASED).isEmpty()) {
            return sheet;
        }
        List<Hold> more = new ArrayList<>();
        for (Part stem : sheet.parts()) {
            if (Inside.of(stem) != Inside.STEM) {
                continue;
            }
            boolean said = sheet.holdsOn(CalibreSheet.CASED).stream().anyMatch(h -> h.by().equals(stem.code()));
            if (!said) {
                more.add(new Hold(
                        CalibreSheet.CASED, stem.code(), "the stem passes through the case", Hold.Basis.STATED));
            }
        }
        if (more.isEmpty()) {
            return sheet;
        }
        more.addAll(0, sheet.holds());
        CalibreSheet held = sheet.with(sheet.parts(), sheet.screws(), more);
        // what was stated on the bench goes before
        return SheetCheck.ringIn(held).isPresent() ? sheet : held;
    }

    /** What parts with working names may turn out to be: a movement in the case as the job knows it, or in a plain one. */
    public static CalibreSheet supposed(CalibreSheet movement, @Nullable CaseSheet bound, JobHistory history) {
        boolean bringsItsOwn = bound == null && movement.parts().stream().anyMatch(CaseSheet::isOfCase);
        CaseSheet watchcase = of(bound, history).orElseGet(() -> CaseSheet.plain(Opens.NOT_SAID));
        return bringsItsOwn ? movement : Cased.of(movement, watchcase, Set.of());
    }

    /** What was said of the case beside an older sheet's own case parts: those stay, as parts nothing more is known of. */
    private static CaseSheet standIn(CalibreSheet movement, CaseSheet said) {
        List<CasePart> parts = new ArrayList<>();
        movement.parts().stream()
                .filter(p -> CaseSheet.isOfCase(p) && !p.code().equals(CalibreSheet.CASED))
                .map(CasePart::named)
                .forEach(parts::add);
        said.parts().stream()
                .filter(p -> parts.stream().noneMatch(q -> q.code().equals(p.code())))
                .forEach(parts::add);
        return said.with(
                parts,
                movement.screws().stream()
                        .filter(s -> movement.part(s.part())
                                .filter(CaseSheet::isOfCase)
                                .isPresent())
                        .toList(),
                List.of());
    }
}
