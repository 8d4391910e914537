package escrel.web.inspection;

import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.cleaning.Looks;
import escrel.core.condition.Grade;
import escrel.core.parts.Finding;
import escrel.web.job.OpenJob;
import escrel.web.ladder.Ladder;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Every part as a tile of two halves: how it looked dirty, and clean. The whole condition of the watch in one picture.
 *
 * @param rows by group, in the order of the groups
 * @param judged how many parts somebody judged in the present look
 * @param left how many are still to be judged
 */
record Board(List<Row> rows, int judged, int left) {
    /** The main plate: it never comes off, so that a sheet has no such part; its places can be looked at all the same. */
    static final String PLATE = "main-plate";

    /** The parts of a group. */
    record Row(String name, List<Tile> tiles) {}

    /**
     * A part.
     *
     * @param dirty mark of its grade before cleaning; empty when nobody judged it
     * @param clean mark of its grade since
     * @param dirtyStyle class of the first half
     * @param cleanStyle class of the second half
     * @param state selected, owed, and whether a finding waits
     */
    record Tile(
            String code, String name, String dirty, String clean, String dirtyStyle, String cleanStyle, String state) {
        /** What it says, for who does not see it. */
        public String words() {
            return name
                    + (dirty.isEmpty() ? ": not judged" : ": " + dirty)
                    + (clean.isEmpty() ? "" : ", clean " + clean);
        }
    }

    static Board of(OpenJob job, @Nullable String selected) {
        Looks looks = job.job().looks();
        List<Part> homes = job.movement().homes();
        Set<String> owed = looks.owed().stream().map(Part::code).collect(Collectors.toSet());
        Set<String> waiting = job.job().findings().all().stream()
                .filter(f -> f.part() != null && !f.isSettled())
                .map(Finding::part)
                .collect(Collectors.toSet());
        Map<Group, List<Tile>> rows = new EnumMap<>(Group.class);
        for (Part part : homes) {
            String code = part.code();
            String state = (code.equals(selected) ? "selected " : "")
                    + (owed.contains(code) ? "owed " : "")
                    + (waiting.contains(code) ? "waits" : "");
            rows.computeIfAbsent(part.group(), g -> new ArrayList<>())
                    .add(new Tile(
                            code,
                            part.name(),
                            mark(looks.dirty(code)),
                            mark(looks.clean(code)),
                            style(looks.dirty(code)),
                            style(looks.clean(code)),
                            state.strip()));
        }
        List<Row> shown = new ArrayList<>(rows.entrySet().stream()
                .map(e -> new Row(Ladder.groupName(e.getKey()), e.getValue()))
                .toList());
        if (job.movement().part(PLATE).isEmpty()) {
            shown.add(new Row("Main plate", List.of(plate(job, PLATE.equals(selected)))));
        }
        return new Board(shown, homes.size() - owed.size(), owed.size());
    }

    /** Of the plate only findings are known: the worst of them, and whether one waits. */
    private static Tile plate(OpenJob job, boolean selected) {
        List<Finding> found = job.job().findings().all().stream()
                .filter(f -> f.part() == null && f.place() != null)
                .toList();
        Grade worst = found.stream().map(Finding::grade).reduce(Looks::worse).orElse(null);
        boolean waits = found.stream().anyMatch(f -> !f.isSettled());
        return new Tile(
                PLATE,
                "Main plate",
                mark(worst),
                "",
                style(worst),
                style(null),
                ((selected ? "selected " : "") + (waits ? "waits" : "")).strip());
    }

    /** The plate as a thing to look at. */
    static Part plate(Side side) {
        return Part.of(PLATE, "Main plate", Group.PLATES, side);
    }

    private static String mark(@Nullable Grade grade) {
        return grade == null ? "" : grade.mark();
    }

    private static String style(@Nullable Grade grade) {
        return grade == null ? "g-none" : "g-" + grade.name().toLowerCase().replace('_', '-');
    }

    /** The parts in the order in which they stand on the board. */
    static List<Part> order(OpenJob job) {
        Map<Group, List<Part>> rows = new EnumMap<>(Group.class);
        job.movement()
                .homes()
                .forEach(p ->
                        rows.computeIfAbsent(p.group(), g -> new ArrayList<>()).add(p));
        return rows.values().stream().flatMap(List::stream).toList();
    }
}
