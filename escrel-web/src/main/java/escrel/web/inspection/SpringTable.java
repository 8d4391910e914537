package escrel.web.inspection;

import escrel.core.MendableException;
import escrel.core.mainspring.Mainspring;
import escrel.core.mainspring.SpringsListed;
import escrel.core.mainspring.SpringsListed.Stocked;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * A list of springs as pasted from a table or a catalogue: a line each, cells parted by tabs, semicolons or commas. A first line of
 * words says which column is which; without one they are name, width, thickness, length, end. Cells are words and numbers, never
 * anything else.
 */
final class SpringTable {
    private static final int LONGEST = 60_000;
    private static final List<String> USUAL = List.of("name", "width", "thickness", "length", "end");
    /** How catalogues head a column, by the beginning of a word. */
    private static final Map<String, List<String>> HEADINGS = new LinkedHashMap<>();

    static {
        HEADINGS.put("thickness", List.of("thick", "strength", "force"));
        HEADINGS.put("width", List.of("width", "height", "blade"));
        HEADINGS.put("length", List.of("length", "long"));
        HEADINGS.put("end", List.of("end", "hook", "bridle"));
        HEADINGS.put("name", List.of("name", "no", "number", "code", "drawer", "ref"));
    }

    private SpringTable() {}

    /**
     * Reads a list.
     *
     * @throws MendableException naming the line that cannot be read
     */
    static SpringsListed read(String text) {
        if (text.length() > LONGEST) {
            throw refuse("The list is longer than " + LONGEST + " characters");
        }
        List<Stocked> springs = new ArrayList<>();
        List<String> columns = USUAL;
        int number = 0;
        for (String line : text.replace("\uFEFF", "").split("\\R")) {
            number++;
            if (line.isBlank()) {
                continue;
            }
            List<String> cells = cells(line);
            if (springs.isEmpty() && columns == USUAL && cells.stream().noneMatch(SpringTable::isNumber)) {
                columns = columns(cells, number);
                continue;
            }
            springs.add(spring(columns, cells, number));
        }
        try {
            return new SpringsListed(springs);
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()));
        }
    }

    private static List<String> cells(String line) {
        String between = line.contains("\t") ? "\t" : line.contains(";") ? ";" : ",";
        return Arrays.stream(line.split(between, -1))
                .map(c -> c.strip().replaceAll("^\"|\"$", "").strip())
                .toList();
    }

    private static List<String> columns(List<String> heads, int line) {
        List<String> columns = heads.stream().map(SpringTable::column).toList();
        for (String wanted : List.of("width", "thickness", "length")) {
            if (!columns.contains(wanted)) {
                throw refuse("Line " + line + " heads no column as " + wanted);
            }
        }
        return columns;
    }

    private static String column(String head) {
        String word = head.toLowerCase(Locale.ROOT);
        for (Map.Entry<String, List<String>> known : HEADINGS.entrySet()) {
            if (known.getValue().stream().anyMatch(word::startsWith)) {
                return known.getKey();
            }
        }
        return "";
    }

    private static Stocked spring(List<String> columns, List<String> cells, int line) {
        try {
            Mainspring spring = new Mainspring(
                    number(columns, cells, "width"),
                    number(columns, cells, "thickness"),
                    number(columns, cells, "length"),
                    text(columns, cells, "end"));
            return new Stocked(text(columns, cells, "name"), spring);
        } catch (IllegalArgumentException e) {
            throw refuse("Line " + line + ": " + e.getMessage());
        }
    }

    private static String text(List<String> columns, List<String> cells, String wanted) {
        int at = columns.indexOf(wanted);
        return at >= 0 && at < cells.size() ? cells.get(at) : "";
    }

    private static double number(List<String> columns, List<String> cells, String wanted) {
        String text = text(columns, cells, wanted).replace(',', '.');
        if (!isNumber(text)) {
            throw new IllegalArgumentException("“" + text + "” is no " + wanted);
        }
        return Double.parseDouble(text);
    }

    private static boolean isNumber(String text) {
        return text.replace(',', '.').matches("[0-9]{1,6}(\\.[0-9]{1,6})?");
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what,
                "The list of springs is as it was.",
                "Correct that line and send the list again: name, width, thickness, length, end.");
    }
}
