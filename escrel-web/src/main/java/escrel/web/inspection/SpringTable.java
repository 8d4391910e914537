package escrel.web.inspection;

import escrel.core.MendableException;
import escrel.core.mainspring.Mainspring;
import escrel.core.mainspring.SpringsListed;
import escrel.core.mainspring.SpringsListed.Stocked;
import escrel.web.format.Texts;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A list of springs as pasted from a table or brought as a supplier's file: a line each, cells parted by tabs, semicolons or
 * commas. A first line without a number is a heading. Cells are words and numbers, never anything else.
 *
 * @param heading empty where the list has none
 * @param lines the rest, with its number in the file
 */
record SpringTable(List<String> heading, List<Line> lines) {
    private static final int LONGEST = 60_000;
    private static final int MOST_COLUMNS = 60;

    /** A line of cells. */
    record Line(int number, List<String> cells) {}

    /**
     * Text of a file, which may be older than the encoding that is usual now.
     *
     * @throws MendableException when it is no text
     */
    static String text(byte[] bytes) {
        String text;
        try {
            text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            text = new String(bytes, Charset.forName("windows-1252"));
        }
        if (text.indexOf('\0') >= 0) {
            throw refuse("The file is no table of words and numbers");
        }
        return text;
    }

    /**
     * Parts a text into lines and cells.
     *
     * @throws MendableException when it is longer than a list may be, or no table
     */
    static SpringTable of(String text) {
        if (text.length() > LONGEST) {
            throw refuse("The list is longer than " + LONGEST + " characters");
        }
        String body = Texts.cleaned(text.replace("\uFEFF", ""));
        List<Line> lines = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(body), format(body))) {
            for (CSVRecord row : parser) {
                if (row.size() > MOST_COLUMNS) {
                    throw refuse("Line " + row.getRecordNumber() + " has more than " + MOST_COLUMNS + " cells");
                }
                if (row.stream().anyMatch(c -> !c.isBlank())) {
                    lines.add(new Line(Math.toIntExact(row.getRecordNumber()), row.toList()));
                }
            }
        } catch (IOException | UncheckedIOException e) {
            throw refuse("The list is no table that can be read: a quote never ends");
        }
        boolean headed = !lines.isEmpty() && lines.get(0).cells().stream().noneMatch(SpringTable::isNumber);
        return new SpringTable(
                headed ? lines.get(0).cells() : List.of(), headed ? lines.subList(1, lines.size()) : lines);
    }

    private static CSVFormat format(String body) {
        char between = body.indexOf('\t') >= 0 ? '\t' : body.indexOf(';') >= 0 ? ';' : ',';
        return CSVFormat.DEFAULT
                .builder()
                .setDelimiter(between)
                .setIgnoreEmptyLines(false)
                .setIgnoreSurroundingSpaces(true)
                .setTrim(true)
                .get();
    }

    /** Names this kind of file: files headed alike mean the same by it. */
    String key() {
        String all = "springs|" + String.join("|", heading);
        return all.substring(0, Math.min(all.length(), 1000));
    }

    /** The first lines, for a look. */
    public List<Line> sample() {
        return lines.subList(0, Math.min(lines.size(), 3));
    }

    /**
     * The springs of the list.
     *
     * @throws MendableException naming the line that cannot be read
     */
    SpringsListed springs(SpringColumns columns) {
        List<Stocked> springs = new ArrayList<>();
        for (Line line : lines) {
            springs.add(spring(columns, line));
        }
        try {
            return new SpringsListed(springs);
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()));
        }
    }

    private static Stocked spring(SpringColumns columns, Line line) {
        try {
            Mainspring spring = new Mainspring(
                    number(columns, line, "width"),
                    number(columns, line, "thickness"),
                    number(columns, line, "length"),
                    columns.in(line.cells(), "end"));
            return new Stocked(columns.in(line.cells(), "name"), spring);
        } catch (IllegalArgumentException e) {
            throw refuse("Line " + line.number() + ": " + e.getMessage());
        }
    }

    private static double number(SpringColumns columns, Line line, String wanted) {
        String text = columns.in(line.cells(), wanted);
        if (!isNumber(text)) {
            throw new IllegalArgumentException("“" + text + "” is no " + wanted);
        }
        return Double.parseDouble(text.replace(',', '.'));
    }

    private static boolean isNumber(String text) {
        return text.replace(',', '.').matches("[0-9]{1,6}(\\.[0-9]{1,6})?");
    }

    static MendableException refuse(String what) {
        return new MendableException(
                what,
                "The list of springs is as it was.",
                "Correct that line and send the list again: name, width, thickness, length, end.");
    }
}
