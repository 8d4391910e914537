package escrel.core.cleaning;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Shape;
import escrel.core.calibre.Wash;
import escrel.core.condition.Defect;
import escrel.core.parts.Finding;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * What lies in which basket and goes which way: each part's route from what it is, what was found on it and how dirty the whole
 * is. Sources: craft 2.11, 4; how baskets are parted by size and kind is ours.
 */
public final class WashPlan {
    private static final Set<Role> LARGE =
            Set.of(Role.BARREL_BRIDGE, Role.TRAIN_BRIDGE, Role.BALANCE_COCK, Role.PALLET_BRIDGE);
    private static final Set<Defect> STICKS = Set.of(Defect.GUMMED, Defect.DIRTY);

    /** Share of the movement's radius from which on a part is as large as a bridge. */
    private static final double AS_A_BRIDGE = 0.45;

    /**
     * A part and its way.
     *
     * @param first what prepares it; empty where nothing has to
     * @param way the bath that cleans it
     */
    public record Line(Part part, List<Wash> first, Wash way) {}

    /** What lies together. */
    public record Batch(Basket basket, List<Line> lines) {
        /** Codes of its parts. */
        public List<String> codes() {
            return lines.stream().map(l -> l.part().code()).toList();
        }

        /** What is to be done before the bath, and how many parts wait for it. */
        public Map<Wash, Integer> first() {
            Map<Wash, Integer> all = new EnumMap<>(Wash.class);
            lines.forEach(l -> l.first().forEach(w -> all.merge(w, 1, Integer::sum)));
            return all;
        }
    }

    private final CalibreSheet sheet;
    private final CleaningState cleaning;
    private final Set<String> sticky = new HashSet<>();
    private final Set<String> jewelled = new HashSet<>();
    private final boolean heavy;

    private WashPlan(CalibreSheet sheet, CleaningState cleaning, List<Finding> findings, Soil soil) {
        this.sheet = sheet;
        this.cleaning = cleaning;
        this.heavy = soil.score() >= Soil.HEAVY;
        for (Finding finding : findings) {
            if (finding.part() != null && STICKS.contains(finding.defect())) {
                sticky.add(finding.part());
            }
        }
        sheet.jewels().forEach(j -> jewelled.add(j.part()));
    }

    /**
     * The baskets of what owes a rinse and lies at hand, each with its parts in the order in which they came off.
     *
     * @param findings of this round
     */
    public static List<Batch> of(CalibreSheet sheet, CleaningState cleaning, List<Finding> findings, Soil soil) {
        return new WashPlan(sheet, cleaning, findings, soil).batches(cleaning.due());
    }

    private List<Batch> batches(List<Part> parts) {
        Map<Basket, List<Line>> all = new EnumMap<>(Basket.class);
        for (Part part : parts) {
            Line line = line(part);
            all.computeIfAbsent(basket(part, line.way()), b -> new ArrayList<>())
                    .add(line);
        }
        return all.entrySet().stream()
                .map(e -> new Batch(e.getKey(), List.copyOf(e.getValue())))
                .toList();
    }

    private Line line(Part part) {
        Wash way = part.has(Hazard.COATED) && part.wash() != Wash.STANCE ? Wash.SOLVENT : part.wash();
        List<Wash> first = new ArrayList<>();
        if (way == Wash.MACHINE) {
            if (jewelled.contains(part.code()) || isLarge(part) && part.group() != Group.AUTOMATIC) {
                first.add(Wash.PEGGED);
            }
            if (sticky.contains(part.code()) && isToothed(part)) {
                first.add(Wash.PUTTY);
            }
            if (heavy) {
                first.add(Wash.ULTRASONIC);
            }
        }
        first.removeIf(w -> cleaning.isPrepared(part.code(), w));
        return new Line(part, List.copyOf(first), way);
    }

    private Basket basket(Part part, Wash way) {
        if (way != Wash.MACHINE) {
            return Basket.of(way);
        }
        String name = (part.code() + " " + part.name()).toLowerCase(Locale.ROOT);
        if (part.role() == Role.PALLET_FORK || part.role() == Role.ESCAPE_WHEEL) {
            return Basket.ESCAPEMENT;
        }
        if (isLarge(part)) {
            return Basket.PLATES;
        }
        if (part.group() == Group.BALANCE_AND_ESCAPEMENT) {
            // cap jewels, settings and their springs are the smallest there are; the balance itself lies by its cock
            return name.contains("balance") ? Basket.PLATES : Basket.SETTINGS;
        }
        if (part.role() == Role.BARREL
                || part.role() == Role.MAINSPRING
                || part.group() == Group.BARREL && name.matches(".*\\b(barrel|arbor|lid|mainspring)\\b.*")) {
            return Basket.BARREL;
        }
        return isToothed(part) || isCalledAWheel(name) ? Basket.WHEELS : Basket.STEEL;
    }

    /** A wheel's jumper, spring or core is none. */
    private static boolean isCalledAWheel(String name) {
        return name.matches(".*\\b(wheel|pinion|runner|counter)\\b.*")
                && !name.matches(
                        ".*\\b(jumper|spring|lever|bridge|cover|core|click|ring|cam|eccentric|brake|hammer)\\b.*");
    }

    private boolean isLarge(Part part) {
        if (part.role() != null && LARGE.contains(part.role()) || part.group() == Group.PLATES) {
            return true;
        }
        Shape shape = part.shape();
        double radius = sheet.data().diameterMillimetres() / 2;
        if (shape == null || shape.kind() != Shape.Kind.OUTLINE && shape.kind() != Shape.Kind.POLYGON) {
            return false;
        }
        return radius > 0 && extent(shape) > AS_A_BRIDGE * radius;
    }

    private static double extent(Shape shape) {
        double[] middle = shape.middle();
        return shape.points().stream()
                .mapToDouble(p -> Math.hypot(p[0] - middle[0], p[1] - middle[1]))
                .max()
                .orElse(0);
    }

    private static boolean isToothed(Part part) {
        return part.shape() != null && part.shape().teeth() > 0;
    }
}
