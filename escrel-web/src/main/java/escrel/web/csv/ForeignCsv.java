package escrel.web.csv;

import escrel.core.MendableException;
import escrel.core.timing.readings.Position;
import escrel.web.format.Texts;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * The CSV file of some timing machine: its heading and rows, the separator being whichever of comma, semicolon and tab
 * the heading holds most of.
 */
record ForeignCsv(List<String> heading, List<CSVRecord> rows) {
    private static final int LARGEST = 1_000_000;
    private static final int MOST_ROWS = 2_000;

    static ForeignCsv of(String text) {
        String body = Texts.cleaned(text.startsWith("\uFEFF") ? text.substring(1) : text);
        if (body.isBlank()) {
            throw CsvRow.refuse("The file is empty");
        }
        if (body.length() > LARGEST) {
            throw CsvRow.refuse("The file is larger than a million characters");
        }
        try (CSVParser parser = CSVParser.parse(new StringReader(body), format(body))) {
            List<String> heading = parser.getHeaderNames();
            List<CSVRecord> rows = new ArrayList<>();
            for (CSVRecord row : parser) {
                if (row.size() > heading.size()) {
                    throw CsvRow.refuse("Row %d, column “%s”: %d fields where the heading has %d"
                            .formatted(
                                    row.getRecordNumber() + 1,
                                    heading.get(heading.size() - 1),
                                    row.size(),
                                    heading.size()));
                }
                rows.add(row);
                if (rows.size() > MOST_ROWS) {
                    throw CsvRow.refuse("The file has more than %d rows".formatted(MOST_ROWS));
                }
            }
            return new ForeignCsv(heading, rows);
        } catch (MendableException e) {
            throw e;
        } catch (IOException | UncheckedIOException | IllegalArgumentException e) {
            throw CsvRow.refuse(
                    "The file is no CSV that can be read: two columns of one name, or a quote that never ends");
        }
    }

    private static CSVFormat format(String body) {
        String first = body.lines().findFirst().orElse("");
        char separator = ',';
        for (char c : new char[] {';', '\t'}) {
            separator = first.chars().filter(x -> x == c).count() > count(first, separator) ? c : separator;
        }
        return CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .setAllowMissingColumnNames(true)
                .setTrim(true)
                .get();
    }

    private static long count(String text, char c) {
        return text.chars().filter(x -> x == c).count();
    }

    /** The words a column holds, in order of appearance. */
    Set<String> words(String column) {
        Set<String> words = new LinkedHashSet<>();
        for (CSVRecord row : rows) {
            if (row.isMapped(column) && row.isSet(column)) {
                words.add(row.get(column).strip());
            }
        }
        words.remove("");
        return words;
    }

    /** The position a machine's word most likely means; nothing where none fits: a person says it then. */
    static @Nullable Position guess(String word) {
        String w = word.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", "");
        for (Position position : Position.values()) {
            if (w.equals(position.mark().toLowerCase(Locale.ROOT))
                    || w.equals(position.words().replace(" ", ""))) {
                return position;
            }
        }
        return null;
    }
}
