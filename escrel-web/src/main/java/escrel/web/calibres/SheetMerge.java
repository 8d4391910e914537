package escrel.web.calibres;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.web.storage.SheetJson;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What was typed on a page made from an earlier version, brought into the present one: a table that was changed here only or
 * there only is taken from where it was changed; one changed on both sides is refused by name, so that neither undoes the
 * other.
 */
final class SheetMerge {
    private SheetMerge() {}

    /**
     * The sheet as edited.
     *
     * @param from the version the page was made from
     * @param now the version there is
     * @param typed tables by name, as for {@link SheetTables#read}
     */
    static CalibreSheet of(CalibreSheet from, CalibreSheet now, Map<String, String> typed) {
        CalibreSheet mine = SheetTables.read(from, typed);
        if (same(from, now)) {
            return mine;
        }
        Map<String, String> changedHere = new HashMap<>(typed);
        changedHere.entrySet().removeIf(t -> same(SheetTables.read(from, Map.ofEntries(t)), from));
        List<SheetTable> both = Stream.of(SheetTable.values())
                .filter(t -> changedHere.containsKey(t.name().toLowerCase()))
                .filter(t -> !rows(from, t).equals(rows(now, t)))
                // sent twice, or both changed the same
                .filter(t -> !rows(mine, t).equals(rows(now, t)))
                .toList();
        if (!both.isEmpty()) {
            throw new MendableException(
                    "This sheet was changed in another tab or window since this page was shown, in the same tables: "
                            + both.stream().map(SheetTable::title).collect(Collectors.joining(", ")),
                    "What was kept there stays; nothing of yours was kept yet, and what you typed is still in the tables: go"
                            + " back to them.",
                    "Open the sheet in another tab, look at what changed, and type the rest there.");
        }
        return SheetTables.read(now, changedHere);
    }

    private static boolean same(CalibreSheet one, CalibreSheet other) {
        return SheetJson.write(one).equals(SheetJson.write(other));
    }

    private static List<List<String>> rows(CalibreSheet sheet, SheetTable table) {
        return SheetTableRows.of(sheet).stream()
                .filter(f -> f.table() == table)
                .findFirst()
                .orElseThrow()
                .rows();
    }
}
