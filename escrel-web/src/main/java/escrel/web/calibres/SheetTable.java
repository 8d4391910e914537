package escrel.web.calibres;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
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
    record Filled(SheetTable table, List<List<String>> rows) {}

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
