package escrel.core.calibre;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A screw by its hole. Screws are counted by where they live, since two that look alike may differ in length or thread.
 *
 * @param code unique on the sheet
 * @param part the part it holds
 * @param x millimetres from the centre, towards 3, seen from the dial
 * @param y millimetres from the centre, towards 12
 * @param bladeMillimetres width of the blade that fits
 * @param home whether it must go back into its own hole
 * @param finish how its head looks; nothing when nobody said
 */
public record ScrewPlace(
        String code,
        String part,
        double x,
        double y,
        LengthClass length,
        Head head,
        Thread thread,
        double bladeMillimetres,
        Home home,
        String note,
        @Nullable Finish finish) {
    /** Lengths as told apart by eye within one movement. */
    public enum LengthClass {
        VERY_SHORT,
        SHORT,
        MIDDLE,
        LONG
    }

    /** Shape of the head. */
    public enum Head {
        FLAT,
        RAISED,
        COUNTERSUNK,
        SHOULDERED,
        HALF_MOON,
        SIDE
    }

    /** Which way it turns. */
    public enum Thread {
        RIGHT,
        /** Undone clockwise. */
        LEFT,
        /** Neither pitch nor diameter of its neighbours. */
        ODD
    }

    /** How its head is finished, by which screws of one length are told apart. */
    public enum Finish {
        POLISHED,
        SATIN,
        BLUED
    }

    /** Where it may go back. */
    public enum Home {
        ANY_OF_ITS_KIND,
        OWN_HOLE,
        /** A spring and the screw that was fitted to it: kept as a pair. */
        PAIRED_WITH_PART
    }

    /** A screw whose finish nobody said. */
    public ScrewPlace(
            String code,
            String part,
            double x,
            double y,
            LengthClass length,
            Head head,
            Thread thread,
            double bladeMillimetres,
            Home home,
            String note) {
        this(code, part, x, y, length, head, thread, bladeMillimetres, home, note, null);
    }

    /** Whether it never leaves its hole: side and half-moon screws are eased and tightened again. Source: craft 2.7. */
    public boolean staysInHole() {
        return head == Head.SIDE || head == Head.HALF_MOON;
    }

    /** Of what kind it is, in words: "long left-hand", "short blued countersunk". */
    public String kindWords() {
        String headWords = head == Head.FLAT ? "" : " " + said(head);
        String finishWords = finish == null ? "" : " " + said(finish);
        String threadWords = switch (thread) {
            case RIGHT -> "";
            case LEFT -> " left-hand";
            case ODD -> " of odd thread";
        };
        return said(length) + finishWords + headWords + threadWords;
    }

    /** Screws in words, kind by kind: "1 long left-hand, 2 short"; empty for none. */
    public static String words(List<ScrewPlace> screws) {
        Map<String, Integer> kinds = new LinkedHashMap<>();
        screws.forEach(s -> kinds.merge(s.kindWords(), 1, Integer::sum));
        return kinds.entrySet().stream()
                .map(e -> e.getValue() + " " + e.getKey())
                .collect(Collectors.joining(", "));
    }

    private static String said(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** The same screw in another place. */
    public ScrewPlace at(double newX, double newY) {
        return new ScrewPlace(code, part, newX, newY, length, head, thread, bladeMillimetres, home, note, finish);
    }

    public ScrewPlace {
        note = Copies.text(note);
        thread = thread == null ? Thread.RIGHT : thread;
        head = head == null ? Head.FLAT : head;
        home = home == null ? Home.ANY_OF_ITS_KIND : home;
    }
}
