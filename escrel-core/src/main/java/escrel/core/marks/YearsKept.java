package escrel.core.marks;

import escrel.core.service.Step;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * In which years a maker's numbers were given out, as far as this workshop knows; the latest table of a maker and of what the
 * numbers stand on counts. Source: craft 2.1.
 *
 * @param maker as arrivals name it
 * @param on what the numbers stand on
 * @param rows by number; none takes the table away
 */
public record YearsKept(String maker, MarkSeen.On on, Certainty certainty, List<Row> rows) implements Step {
    /** Most rows. */
    public static final int MOST = 500;

    /** How far the table may be trusted. */
    public enum Certainty {
        LISTED("a list of the maker's"),
        COLLECTED("watches seen here"),
        HEARD("hearsay");

        private final String words;

        Certainty(String words) {
            this.words = words;
        }

        /** Where it comes from, as it is said. */
        public String words() {
            return words;
        }
    }

    /**
     * The first number of a year.
     *
     * @param from 0 to 999 999 999 999
     * @param year 1500 to 2100
     */
    public record Row(long from, int year) {
        public Row {
            if (from < 0 || from > 999_999_999_999L || year < 1500 || year > 2100) {
                throw new IllegalArgumentException("A row has a number and a year between 1500 and 2100");
            }
        }
    }

    public YearsKept {
        maker = maker == null ? "" : maker.strip();
        rows = rows.stream().sorted(Comparator.comparingLong(Row::from)).toList();
        if (maker.isEmpty() || maker.length() > 80) {
            throw new IllegalArgumentException("A table is of a maker, in at most 80 characters");
        }
        if (rows.size() > MOST) {
            throw new IllegalArgumentException("A table has at most " + MOST + " rows");
        }
        for (int i = 1; i < rows.size(); i++) {
            Row before = rows.get(i - 1);
            Row row = rows.get(i);
            if (row.from() == before.from() || row.year() < before.year()) {
                throw new IllegalArgumentException("From " + before.from() + " in " + before.year() + " to "
                        + row.from() + " in " + row.year() + ": numbers rise with the years");
            }
        }
    }

    /** Names the table: one for a maker and what its numbers stand on. */
    public String key() {
        return maker.toLowerCase(Locale.ROOT) + "|" + on;
    }

    /**
     * When a number was given out.
     *
     * @param first the earliest year; 0 where it lies before the table
     * @param last the latest; 0 where it may be any later one
     */
    public record Span(int first, int last) {
        /** In words. */
        public String words() {
            if (first == 0) {
                return last + " or before";
            }
            return last == 0 ? first + " or later" : first == last ? String.valueOf(first) : first + " to " + last;
        }

        /** Whether a year lies in it. */
        public boolean holds(int year) {
            return (first == 0 || year >= first) && (last == 0 || year <= last);
        }
    }

    /** When the number in a text was given out; nothing where the text is no number, or the table is empty. */
    public Optional<Span> of(String text) {
        String digits = text.replaceAll("[\\s.·-]", "");
        if (!digits.matches("\\d{1,12}") || rows.isEmpty()) {
            return Optional.empty();
        }
        long number = Long.parseLong(digits);
        if (number < rows.get(0).from()) {
            return Optional.of(new Span(0, rows.get(0).year()));
        }
        for (int i = rows.size() - 1; i >= 0; i--) {
            if (number >= rows.get(i).from()) {
                int last = i == rows.size() - 1 ? 0 : rows.get(i + 1).year();
                return Optional.of(new Span(rows.get(i).year(), last));
            }
        }
        return Optional.empty();
    }
}
