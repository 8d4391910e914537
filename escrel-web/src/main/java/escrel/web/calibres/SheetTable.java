package escrel.web.calibres;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The tables in which a sheet is edited. */
enum SheetTable {
    DATA("Figures", "figure", "value"),
    PARTS(
            "Parts",
            "code",
            "name",
            "group",
            "side",
            "role",
            "unit",
            "hazards",
            "lifts from",
            "lies",
            "wash",
            "wash note",
            "minutes",
            "note",
            "clip",
            "state before",
            "stays with",
            "aliases"),
    SHAPES("Drawing", "part", "kind", "x", "y", "radius", "teeth", "points"),
    SCREWS("Screws", "code", "part", "x", "y", "length", "head", "thread", "blade", "home", "note"),
    HOLDS("Holds", "part", "held by", "why", "basis"),
    EARLY("Early in", "part", "before", "why"),
    OIL("Oil points", "code", "name", "part", "side", "lubricant", "amount", "after", "before", "x", "y", "why"),
    TESTS("Tests", "code", "name", "side", "after", "before", "expect", "proof"),
    JEWELS("Jewels", "kind", "part", "side", "x", "y"),
    TRAIN("Train", "part", "wheel teeth", "pinion leaves"),
    LORE("Knowledge", "kind", "what", "part or place", "more", "note");

    /**
     * A table with its rows.
     *
     * @param rows each as long as there are columns
     */
    record Filled(SheetTable table, List<List<String>> rows) {
        /** What stands in the fields, row by row; a sheet has a thousand, so that their names are made here and not in the page. */
        public List<List<Cell>> cells() {
            return IntStream.range(0, rows.size())
                    .mapToObj(n -> cells(n + 1, rows.get(n)))
                    .toList();
        }

        private List<Cell> cells(int number, List<String> row) {
            String where = ", row " + number;
            String whose = where + ": " + row.get(0);
            return IntStream.range(0, row.size())
                    .mapToObj(c -> new Cell(row.get(c), table.columns.get(c) + (c == 0 ? where : whose)))
                    .toList();
        }
    }

    /**
     * A field.
     *
     * @param name for who does not see where it stands
     */
    record Cell(String value, String name) {}

    private final String title;
    private final List<String> columns;

    SheetTable(String title, String... columns) {
        this.title = title;
        this.columns = List.of(columns);
    }

    /** The names under which they are sent. */
    static Set<String> names() {
        return Stream.of(values()).map(t -> t.name().toLowerCase()).collect(Collectors.toSet());
    }

    public String title() {
        return title;
    }

    public List<String> columns() {
        return columns;
    }
}
