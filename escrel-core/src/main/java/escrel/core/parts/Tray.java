package escrel.core.parts;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Shape;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.teardown.TeardownState;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;

/**
 * Where each part lies. Compartments are filled in the order of removal, by group, or by the place in the movement, as
 * the workshop is used to; the mirror of the plan.
 */
public final class Tray {
    /**
     * A compartment.
     *
     * @param number 1 for the first
     * @param label what a printed label says
     * @param parts in it now, in the order in which they came off
     * @param screws that lie with them
     * @param warnings what is easily mixed up here; empty when nothing is
     */
    public record Compartment(
            int number, String label, List<Part> parts, List<ScrewPlace> screws, List<String> warnings) {}

    private static final List<String> EIGHTHS = List.of(
            "at 3 o'clock",
            "at half past 1",
            "at 12 o'clock",
            "at half past 10",
            "at 9 o'clock",
            "at half past 7",
            "at 6 o'clock",
            "at half past 4");

    private final TeardownState state;
    private final Schools schools;
    private final CalibreSheet sheet;
    private final ScrewAccount screws;
    private final Map<String, List<Part>> places = new LinkedHashMap<>();
    private final int taken;

    private Tray(TeardownState state, Schools schools, ScrewAccount screws) {
        this.state = state;
        this.schools = schools;
        this.screws = screws;
        this.sheet = state.sheet();
        int order = 0;
        for (String code : state.order()) {
            Part part = sheet.requirePart(code);
            if (!part.isPowerDown()) {
                order++;
                places.computeIfAbsent(key(part, order), k -> new ArrayList<>()).add(part);
            }
        }
        this.taken = order;
    }

    /** The tray as it stands. */
    public static Tray of(TeardownState state, Schools schools, ScrewAccount screws) {
        return new Tray(state, schools, screws);
    }

    /**
     * The number of the compartment in which a part lies, or into which it would go if it came off now; empty for what
     * is no thing to lay down.
     */
    public OptionalInt numberFor(Part part) {
        if (part.isPowerDown()) {
            return OptionalInt.empty();
        }
        String lies = places.entrySet().stream()
                .filter(e -> e.getValue().contains(part))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseGet(() -> key(part, taken + 1));
        int at = List.copyOf(places.keySet()).indexOf(lies);
        return OptionalInt.of(at < 0 ? places.size() + 1 : at + 1);
    }

    private String key(Part part, int order) {
        if (schools.has(Choice.TRAY_BY_GROUP)) {
            return groupWords(part.group());
        }
        return schools.has(Choice.TRAY_BY_PLACE) ? place(part) : String.valueOf(order);
    }

    private static String groupWords(Group group) {
        return group.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
    }

    private String place(Part part) {
        Shape shape = part.shape() != null || part.unit() == null
                ? part.shape()
                : sheet.requirePart(part.unit()).shape();
        if (part.group() == Group.CASE || shape == null) {
            return "no place drawn";
        }
        double[] middle = shape.middle();
        if (Math.hypot(middle[0], middle[1]) < sheet.data().diameterMillimetres() / 8) {
            return part.side().name().toLowerCase(java.util.Locale.ROOT) + " side, middle";
        }
        int eighth = Math.floorMod((int) Math.round(Math.atan2(middle[1], middle[0]) / (Math.PI / 4)), 8);
        return part.side().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ') + " side, "
                + EIGHTHS.get(eighth);
    }

    /** The compartments in use, in their order. Those whose parts are on again stay, empty, so that numbers do not move. */
    public List<Compartment> compartments() {
        List<Compartment> all = new ArrayList<>();
        places.forEach((key, parts) -> {
            List<Part> lying = parts.stream()
                    .filter(p -> state.isOff(p.code()) && !state.visiting().contains(p.code()))
                    .toList();
            // a fitted part may have screws lying here still
            List<ScrewPlace> with = parts.stream()
                    .flatMap(p -> screws.of(p.code()).screws(PartScrews.Where.OUT).stream())
                    .sorted(Comparator.comparing(ScrewPlace::length))
                    .toList();
            String label =
                    parts.size() == 1 && !key.contains(" ") ? parts.get(0).name() : key;
            all.add(new Compartment(all.size() + 1, label, lying, with, warnings(lying, with)));
        });
        return List.copyOf(all);
    }

    private List<String> warnings(List<Part> parts, List<ScrewPlace> with) {
        List<String> warnings = new ArrayList<>();
        Set<ScrewPlace.Thread> threads = new TreeSet<>();
        with.forEach(s -> threads.add(s.thread()));
        if (threads.size() > 1) {
            warnings.add("screws of different thread lie together: keep the "
                    + (threads.contains(ScrewPlace.Thread.LEFT) ? "left-hand" : "odd") + " one apart");
        }
        for (Part part : parts) {
            PartScrews own = screws.of(part.code());
            int missing = own.count(PartScrews.Where.EMPTY);
            if (missing > 0) {
                warnings.add("%s: %d of its %d screws missing"
                        .formatted(part.name(), missing, own.holes().size()));
            }
            if (!own.remark().isEmpty()) {
                warnings.add(part.name() + ": " + own.remark());
            }
            homes(part, own, with, warnings);
        }
        return List.copyOf(warnings);
    }

    private static void homes(Part part, PartScrews own, List<ScrewPlace> with, List<String> warnings) {
        List<ScrewPlace> out = own.screws(PartScrews.Where.OUT);
        boolean pair = out.stream().anyMatch(s -> s.home() == ScrewPlace.Home.PAIRED_WITH_PART);
        boolean ownHole = out.stream().anyMatch(s -> s.home() == ScrewPlace.Home.OWN_HOLE);
        if (pair) {
            warnings.add(part.name() + " and its screw are a pair");
        } else if (ownHole && with.size() > 1) {
            warnings.add(part.name() + ": each screw back into its own hole");
        }
    }
}
