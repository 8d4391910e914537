package escrel.core.calibre;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A sheet as a version of the calibre has it: parts it has not got are left out, others are called and noted as they are there.
 * What was held by a part that is left out is held by what held that one; windows that named it name its neighbour. Source: craft
 * 2.4, 2.19.
 */
public final class VariantSheet {
    private final CalibreSheet sheet;
    private final Set<String> without;

    private VariantSheet(CalibreSheet sheet, Set<String> without) {
        this.sheet = sheet;
        this.without = without;
    }

    /**
     * The sheet of a version.
     *
     * @param version name of one of its variants; any other changes nothing
     * @param kept codes of parts that stay whatever the version has: they were spoken of at the bench
     */
    public static CalibreSheet of(CalibreSheet sheet, String version, Set<String> kept) {
        List<Lore.Change> changes = sheet.lore().variants().stream()
                .filter(v -> v.name().equals(version))
                .flatMap(v -> v.changes().stream())
                .toList();
        if (changes.isEmpty()) {
            return sheet;
        }
        Set<String> without = changes.stream()
                .filter(c -> c.name() == null && !kept.contains(c.part()))
                .map(Lore.Change::part)
                .collect(Collectors.toSet());
        List<Part> called = sheet.parts().stream().map(p -> called(p, changes)).toList();
        CalibreSheet named = sheet.with(called, sheet.screws(), sheet.holds());
        return without.isEmpty() ? named : new VariantSheet(named, without).left();
    }

    private static Part called(Part part, List<Lore.Change> changes) {
        for (Lore.Change change : changes) {
            if (change.part().equals(part.code()) && change.name() != null) {
                Part named = part.name().equals(change.name()) ? part : part.withName(change.name());
                return change.note().isEmpty() ? named : named.with(Trait.NOTE, change.note());
            }
        }
        return part;
    }

    private CalibreSheet left() {
        CalibreSheet bridged = sheet.with(sheet.parts(), sheet.screws(), holds());
        CalibreSheet few = bridged.among(p -> !without.contains(p.code()));
        List<OilPoint> points = sheet.oilPoints().stream()
                .filter(p -> !without.contains(p.part()))
                .map(p -> p.within(moved(p.after(), this::below), moved(p.before(), this::above)))
                .toList();
        List<AssemblyTest> tests =
                sheet.tests().stream().map(this::moved).filter(Objects::nonNull).toList();
        return few.withClimb(points, tests)
                .withLore(sheet.lore().without(without))
                .withInside(
                        sheet.earlyIns().stream()
                                .filter(e -> !without.contains(e.part()) && !without.contains(e.before()))
                                .toList(),
                        sheet.jewels().stream()
                                .filter(j -> !without.contains(j.part()))
                                .toList());
    }

    /** Holds with those that went through a part that is left out. */
    private List<Hold> holds() {
        List<Hold> all = new ArrayList<>(sheet.holds());
        for (String gone : without) {
            List<Hold> onIt = all.stream().filter(h -> h.part().equals(gone)).toList();
            List<Hold> byIt = all.stream().filter(h -> h.by().equals(gone)).toList();
            for (Hold below : byIt) {
                for (Hold above : onIt) {
                    boolean said =
                            all.stream().anyMatch(h -> h.part().equals(below.part()) && h.by().equals(above.by()));
                    if (!said && !below.part().equals(above.by())) {
                        all.add(new Hold(below.part(), above.by(), above.why(), above.basis()));
                    }
                }
            }
        }
        return all;
    }

    private @Nullable String moved(@Nullable String end, Function<String, @Nullable String> neighbour) {
        String at = end;
        // a ring of holds is refused by the sheet, so that this ends
        while (at != null && without.contains(at)) {
            at = neighbour.apply(at);
        }
        return at;
    }

    private @Nullable AssemblyTest moved(AssemblyTest test) {
        String after = moved(test.after(), this::below);
        return after == null
                ? null
                : new AssemblyTest(
                        test.code(),
                        test.name(),
                        test.side(),
                        after,
                        moved(test.before(), this::above),
                        test.expect(),
                        test.proof());
    }

    private @Nullable String below(String part) {
        return sheet.heldBy(part).stream().map(Hold::part).findFirst().orElse(null);
    }

    private @Nullable String above(String part) {
        return sheet.holdsOn(part).stream().map(Hold::by).findFirst().orElse(null);
    }
}
