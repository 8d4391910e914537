package escrel.web.ground;

import escrel.web.disk.Disk;
import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/**
 * A file of the journal as read: entries that follow on each other from its first line on. Room that was made beforehand
 * is filled with zeros; a last entry that is not whole was never acknowledged and counts as room.
 *
 * @param first number of the entry it begins with
 * @param before hash of the entry before that
 * @param last number of its last whole entry, {@code first - 1} when it has none
 * @param hash of that
 * @param end where the next entry goes, in bytes
 * @param torn whether something unreadable stands there
 */
record Segment(Path file, long first, String before, long last, String hash, long end, boolean torn) {
    private static final String MARK = "escrel-journal 1 ";
    private static final String BEGIN = "from-";
    private static final String END = ".log";

    static Path file(Home home, long first) {
        return home.journal().resolve(BEGIN + "%012d".formatted(first) + END);
    }

    static byte[] header(String before) {
        return (MARK + before + "\n").getBytes(StandardCharsets.US_ASCII);
    }

    /** The files of a journal in their order. */
    static java.util.List<Path> files(Path journal) {
        return Disk.files(journal, BEGIN, END);
    }

    /** Reads a file; nothing when it does not begin as one. */
    static <E extends Exception> Optional<Segment> read(Path file, Entry.Taker<E> each) throws IOException, E {
        String name = String.valueOf(file.getFileName());
        long first;
        try {
            first = Long.parseLong(name.substring(BEGIN.length(), name.length() - END.length()));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file), 1 << 16)) {
            Line header = line(in);
            if (!header.whole()
                    || !header.text().startsWith(MARK)
                    || header.text().length() != MARK.length() + 64) {
                return Optional.empty();
            }
            String before = header.text().substring(MARK.length());
            String hash = before;
            long number = first;
            long end = header.bytes();
            while (true) {
                Line line = line(in);
                Optional<Entry> entry = line.whole() ? Entry.parse(line.text(), number, hash) : Optional.empty();
                if (entry.isEmpty()) {
                    boolean torn = !line.text().isEmpty() && line.text().charAt(0) != 0;
                    return Optional.of(new Segment(file, first, before, number - 1, hash, end, torn));
                }
                each.take(entry.get());
                hash = entry.get().hash();
                number++;
                end += line.bytes();
            }
        }
    }

    private record Line(String text, boolean whole, int bytes) {}

    /** Up to the end of the line, or of what is no text. */
    private static Line line(InputStream in) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        int b = in.read();
        while (b > 0 && b != '\n') {
            out.write(b);
            b = in.read();
        }
        return new Line(out.toString(StandardCharsets.UTF_8), b == '\n', out.size() + 1);
    }
}
