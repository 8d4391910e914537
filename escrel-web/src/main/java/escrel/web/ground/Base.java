package escrel.web.ground;

import escrel.web.disk.Disk;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Bases: the database as it was when the journal had come so far, packed. With the journal since, it can be made anew. */
final class Base {
    private static final String BEGIN = "base-";
    private static final String END = ".zip";

    private Base() {}

    static Path file(Home home, long position) {
        return home.journal().resolve(BEGIN + "%012d".formatted(position) + END);
    }

    /** The bases there are, the newest first. */
    static List<Path> newestFirst(Path journal) {
        List<Path> bases = new ArrayList<>(Disk.files(journal, BEGIN, END).stream()
                .filter(f -> String.valueOf(f.getFileName()).matches(BEGIN + "\\d{12}" + END))
                .toList());
        Collections.reverse(bases);
        return bases;
    }

    /** Deletes bases before one, and the files of the journal that it makes needless. */
    static void letGoBefore(Home home, long position) throws IOException {
        Path newest = file(home, position);
        for (Path each : newestFirst(home.journal())) {
            if (each.compareTo(newest) < 0) {
                Files.deleteIfExists(each);
            }
        }
        Path needed = Segment.file(home, position + 1);
        for (Path each : Segment.files(home.journal())) {
            if (each.compareTo(needed) < 0) {
                Files.deleteIfExists(each);
            }
        }
    }
}
