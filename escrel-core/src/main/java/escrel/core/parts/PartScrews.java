package escrel.core.parts;

import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The screws of one part, hole by hole: the one place from which ladder, card, tray, labels, climb and account take their
 * numbers. Source: M17.
 *
 * @param part whose they are
 * @param holes every hole, in the order of the sheet
 * @param remark what else was said of them, or empty
 */
public record PartScrews(Part part, List<Hole> holes, String remark) {
    /** Where the screw of a hole is. */
    public enum Where {
        /** In its hole, tight or never touched. */
        IN,
        /** In the tray, with its part. */
        OUT,
        /** In its hole, eased: to be tightened on the way up. */
        EASED,
        /** Missing or broken, and no other one supplied. */
        EMPTY,
        /** Its part was missing on arrival and nobody spoke of its screws. */
        UNSAID
    }

    /**
     * A hole and its screw.
     *
     * @param supplied whether the screw is another one than the watch came with
     */
    public record Hole(ScrewPlace screw, Where where, boolean supplied) {}

    /**
     * Screws told apart by length and thread.
     *
     * @param length class
     * @param thread which way they turn
     * @param total holes
     */
    public record Kind(
            ScrewPlace.LengthClass length,
            ScrewPlace.Thread thread,
            int total,
            int out,
            int in,
            int eased,
            int missing,
            int replaced) {}

    public PartScrews {
        holes = List.copyOf(holes);
    }

    /** How many of its holes are in this state. */
    public int count(Where where) {
        return (int) holes.stream().filter(h -> h.where() == where).count();
    }

    /** How many are driven as it goes on: those that lie in the tray with it. */
    public int toDrive() {
        return count(Where.OUT);
    }

    /** The screws of the holes in this state. */
    public List<ScrewPlace> screws(Where where) {
        return holes.stream().filter(h -> h.where() == where).map(Hole::screw).toList();
    }

    /** Whether a screw turns the other way. */
    public boolean hasLeftHand() {
        return holes.stream().anyMatch(h -> h.screw().thread() == ScrewPlace.Thread.LEFT);
    }

    /** The screws by kind, in the order in which the sheet names the kinds. */
    public List<Kind> kinds() {
        List<Kind> kinds = new ArrayList<>();
        for (List<Hole> same :
                grouped(holes, h -> h.screw().length() + "/" + h.screw().thread())) {
            ScrewPlace first = same.get(0).screw();
            kinds.add(new Kind(
                    first.length(),
                    first.thread(),
                    same.size(),
                    count(same, Where.OUT),
                    count(same, Where.IN),
                    count(same, Where.EASED),
                    count(same, Where.EMPTY),
                    (int) same.stream().filter(Hole::supplied).count()));
        }
        return List.copyOf(kinds);
    }

    /** In words: "1 long left-hand, 2 short", "2 of 4 short, 2 missing"; empty when it has none. */
    public String words() {
        String there = ScrewPlace.words(holes.stream()
                .filter(h -> h.where() != Where.EMPTY)
                .map(Hole::screw)
                .toList());
        int missing = count(Where.EMPTY);
        return missing == 0
                ? there
                : "%s of %d, %d missing".formatted(there.isEmpty() ? "none" : there, holes.size(), missing);
    }

    private static int count(List<Hole> holes, Where where) {
        return (int) holes.stream().filter(h -> h.where() == where).count();
    }

    private static <T> List<List<T>> grouped(List<T> all, Function<T, String> kind) {
        return List.copyOf(all.stream()
                .collect(Collectors.groupingBy(kind, LinkedHashMap::new, Collectors.toList()))
                .values());
    }
}
