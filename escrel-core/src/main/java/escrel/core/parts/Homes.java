package escrel.core.parts;

import escrel.core.calibre.Part;
import escrel.core.service.Episode;
import escrel.core.service.Lives;
import escrel.core.service.OpenItem;
import escrel.core.service.Tally;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Counts by home: each place in the calibre where something belongs is original, replaced, supplied, left empty with its
 * reason, or still to do. A place that was empty on arrival is a home too; a visit never counts as fitted. Source: M17.
 */
public final class Homes {
    private Homes() {}

    /** The account of homes. */
    public static Tally tally(Lives lives, Copies copies) {
        List<OpenItem> open = new ArrayList<>();
        int original = 0;
        int replaced = 0;
        int supplied = 0;
        int empty = 0;
        for (Part part : lives.sheet().homes()) {
            Optional<Episode> episode = lives.episode(part.code());
            boolean off = episode.filter(Episode::isOpen).isPresent();
            boolean wasEmpty = lives.episodesOf(part.code()).stream()
                    .findFirst()
                    .filter(Episode::wasAbsent)
                    .isPresent();
            if (lives.leftOut().containsKey(part.code())) {
                empty++;
            } else if (off) {
                open.add(item(part, episode.orElseThrow()));
            } else if (wasEmpty) {
                supplied++;
            } else if (copies.seated(part.code()).filter(Copy::isBroughtIn).isPresent()) {
                replaced++;
            } else {
                original++;
            }
        }
        return new Tally(
                Tally.Kind.HOMES,
                lives.sheet().homes().size(),
                open,
                "%d original, %d replaced, %d supplied, %d left empty".formatted(original, replaced, supplied, empty));
    }

    private static OpenItem item(Part part, Episode episode) {
        return new OpenItem(
                "home:" + part.code() + "@" + episode.offAt(),
                part.code(),
                episode.wasAbsent()
                        ? part.name() + " was missing on arrival and nothing is fitted in its place"
                        : part.name() + " is off",
                OpenItem.Place.CLIMB);
    }

    /** The account of parts that are in for a visit only. */
    public static Tally visits(Lives lives) {
        List<OpenItem> open = lives.visiting().stream()
                .sorted()
                .map(p -> new OpenItem(
                        "visit:" + p + "@" + lives.offAt(p),
                        p,
                        lives.sheet().requirePart(p).name() + " is fitted for a visit only",
                        OpenItem.Place.CLIMB))
                .toList();
        return new Tally(Tally.Kind.VISITS, open.size(), open, open.isEmpty() ? "no part is in for a visit only" : "");
    }
}
