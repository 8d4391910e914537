package escrel.core.parts;

import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.service.Episode;
import escrel.core.service.Lives;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * What the screws tell of who was there before: loose ones over a whole side make one line, not one for each part. Only
 * the first time a part comes off speaks of earlier work; what is found after that is our own. Source: craft 2.7, 2.9.
 */
public final class EarlierWork {
    /**
     * A line of evidence.
     *
     * @param against whether it speaks against earlier work rather than for it
     * @param words what was seen and where
     */
    public record Line(boolean against, String words) {}

    /** So many loose screws, being half of a side's and more, are told as one line. Ours: two may be chance. */
    private static final int WHOLE_SIDE = 3;

    /** A part with what was found of its screws when it came off first. */
    private record Seen(Part part, int holes, ScrewsFound screws) {}

    private EarlierWork() {}

    /** The lines, loose screws first; empty when the screws tell nothing. */
    public static List<Line> of(Lives lives) {
        List<Seen> seen = new ArrayList<>();
        for (String code : lives.everOff()) {
            Episode first = lives.episodesOf(code).get(0);
            PartOff off = first.off();
            if (off != null && first.round() == 1) {
                int holes = lives.sheet().screwsOf(code).size();
                seen.add(new Seen(lives.sheet().requirePart(code), holes, off.screws()));
            }
        }
        List<Line> lines = new ArrayList<>(loose(seen));
        for (ScrewsFound.State how : ScrewsFound.State.values()) {
            if (how != ScrewsFound.State.LOOSE) {
                line(seen, how, lines);
            }
        }
        List<Seen> untouched =
                seen.stream().filter(s -> s.screws().asFactoryLeft()).toList();
        if (!untouched.isEmpty()) {
            lines.add(new Line(true, "screws as the factory left them: " + names(untouched)));
        }
        return List.copyOf(lines);
    }

    private static List<Line> loose(List<Seen> seen) {
        Map<Side, List<Seen>> sides = new EnumMap<>(Side.class);
        for (Seen each : seen) {
            if (each.part().group() != Group.CASE) {
                sides.computeIfAbsent(each.part().side(), s -> new ArrayList<>())
                        .add(each);
            }
        }
        List<Line> lines = new ArrayList<>();
        List<Seen> single = new ArrayList<>(
                seen.stream().filter(s -> s.part().group() == Group.CASE).toList());
        sides.forEach((side, parts) -> {
            int loose = count(parts, ScrewsFound.State.LOOSE);
            int holes = parts.stream().mapToInt(Seen::holes).sum();
            long where = with(parts, ScrewsFound.State.LOOSE).size();
            if (loose >= WHOLE_SIDE && 2 * loose >= holes && where > 1) {
                lines.add(new Line(
                        false,
                        "%d of %d screws loose over the %s: %s"
                                .formatted(
                                        loose, holes, sideWords(side), names(with(parts, ScrewsFound.State.LOOSE)))));
            } else {
                single.addAll(parts);
            }
        });
        line(single, ScrewsFound.State.LOOSE, lines);
        return lines;
    }

    private static String sideWords(Side side) {
        return side == Side.IN_HAND ? "parts built in the hand" : side.name().toLowerCase(Locale.ROOT) + " side";
    }

    private static void line(List<Seen> seen, ScrewsFound.State how, List<Line> lines) {
        int count = count(seen, how);
        if (count > 0) {
            lines.add(new Line(
                    false,
                    "%d %s %s: %s"
                            .formatted(
                                    count,
                                    count == 1 ? "screw" : "screws",
                                    how.name().toLowerCase(Locale.ROOT),
                                    names(with(seen, how)))));
        }
    }

    private static int count(List<Seen> seen, ScrewsFound.State how) {
        return seen.stream().mapToInt(s -> s.screws().count(how)).sum();
    }

    private static List<Seen> with(List<Seen> seen, ScrewsFound.State how) {
        return seen.stream().filter(s -> s.screws().count(how) > 0).toList();
    }

    private static String names(List<Seen> seen) {
        return seen.stream().map(s -> s.part().name()).collect(Collectors.joining(", "));
    }
}
