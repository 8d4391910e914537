package escrel.core.order;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Shape;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What lies over the screws of a part once it is on: of everything stated to lie on the part, directly or through others, what
 * the drawing shows above one of its screws on the same side; without a drawing, whatever lies on it directly.
 */
final class ScrewCovers {
    private final Map<String, Part> parts;
    private final Map<String, List<Hold>> holds;
    private final Map<String, List<ScrewPlace>> screws;

    ScrewCovers(CalibreSheet sheet) {
        this.parts = sheet.parts().stream().collect(Collectors.toMap(Part::code, Function.identity(), (a, b) -> a));
        this.holds = sheet.holds().stream()
                .filter(h -> h.basis() == Hold.Basis.STATED)
                .collect(Collectors.groupingBy(Hold::part));
        this.screws = sheet.screws().stream().collect(Collectors.groupingBy(ScrewPlace::part));
    }

    /** The parts over its screws; those of a part whose screws nobody said are taken to lie under whatever lies on it. */
    List<Part> over(Part part) {
        List<ScrewPlace> own = screws.getOrDefault(part.code(), List.of());
        Set<String> direct = holdersOf(part.code());
        return (own.isEmpty() ? direct : above(part))
                .stream()
                        .map(parts::get)
                        .filter(Objects::nonNull)
                        .filter(over -> !over.isPowerDown() && over.side() == part.side())
                        .filter(over -> lies(over, own, direct.contains(over.code())))
                        .toList();
    }

    private static boolean lies(Part over, List<ScrewPlace> screws, boolean directly) {
        if (over.role() == Role.CASE_BACK) {
            return true;
        }
        Shape shape = over.shape();
        return shape == null || shape.kind() == Shape.Kind.PIN || screws.isEmpty()
                ? directly
                : screws.stream().anyMatch(s -> shape.covers(s.x(), s.y()));
    }

    private Set<String> holdersOf(String part) {
        return holds.getOrDefault(part, List.of()).stream()
                .map(Hold::by)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private Set<String> above(Part part) {
        Set<String> found = new LinkedHashSet<>();
        List<String> open = new ArrayList<>(List.of(part.code()));
        while (!open.isEmpty()) {
            for (Hold hold : holds.getOrDefault(open.remove(open.size() - 1), List.of())) {
                if (!hold.by().equals(part.code()) && found.add(hold.by())) {
                    open.add(hold.by());
                }
            }
        }
        return found;
    }
}
