package escrel.core.teardown;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Shape;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.PartOff;
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
    private final Map<String, List<Part>> places = new LinkedHashMap<>();
    private final int taken;

    private Tray(TeardownState state, Schools schools) {
        this.state = state;
        this.schools = schools;
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
    public static Tray of(TeardownState state, Schools schools) {
        return new Tray(state, schools);
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
            List<ScrewPlace> screws = lying.stream()
                    .flatMap(p -> sheet.screwsOf(p.code()).stream())
                    .sorted(Comparator.comparing(ScrewPlace::length))
                    .toList();
            String label =
                    parts.size() == 1 && !key.contains(" ") ? parts.get(0).name() : key;
            all.add(new Compartment(all.size() + 1, label, lying, screws, warnings(lying, screws)));
        });
        return List.copyOf(all);
    }

    private List<String> warnings(List<Part> parts, List<ScrewPlace> screws) {
        List<String> warnings = new ArrayList<>();
        Set<ScrewPlace.Thread> threads = new TreeSet<>();
        screws.forEach(s -> threads.add(s.thread()));
        if (threads.size() > 1) {
            warnings.add("screws of different thread lie together: keep the "
                    + (threads.contains(ScrewPlace.Thread.LEFT) ? "left-hand" : "odd") + " one apart");
        }
        for (Part part : parts) {
            int sheetCount = sheet.screwsOf(part.code()).size();
            state.stepOf(part.code()).map(PartOff::screwsCounted).ifPresent(counted -> {
                if (counted != sheetCount) {
                    warnings.add(
                            "%s: %d screws came off, the sheet has %d".formatted(part.name(), counted, sheetCount));
                }
            });
        }
        return List.copyOf(warnings);
    }
}
