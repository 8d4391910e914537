package escrel.web.calibres;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.StemRelease;
import escrel.core.calibre.WatchClass;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The figures of a sheet, one a row. */
record SheetFigures(String name, CalibreData data, @Nullable StemRelease stemRelease) {
    static SheetFigures read(CalibreSheet base, @Nullable List<SheetRow> rows, List<String> faults) {
        if (rows == null) {
            return new SheetFigures(base.name(), base.data(), base.stemRelease());
        }
        Map<String, SheetRow> by = new HashMap<>();
        rows.forEach(r -> by.put(r.text(0), r));
        CalibreData old = base.data();
        CalibreData data = new CalibreData(
                number(by, "diameter mm"),
                text(by, "beats per hour").isEmpty() ? null : (Double) number(by, "beats per hour"),
                text(by, "lift angle").isEmpty() ? null : number(by, "lift angle"),
                (int) number(by, "jewels"),
                choice(by, "setting", CalibreData.Setting.class, old.setting()),
                choice(by, "stud", CalibreData.Stud.class, old.stud()),
                watchClass(by),
                text(by, "description"));
        StemRelease release = text(by, "stem release").isEmpty()
                ? null
                : new StemRelease(
                        text(by, "stem release"),
                        text(by, "crown position"),
                        text(by, "stem tool"),
                        text(by, "stem turns"),
                        text(by, "stem warning"));
        if (text(by, "name").isEmpty()) {
            faults.add("Figures: the name is empty");
        }
        return new SheetFigures(text(by, "name"), data, release);
    }

    private static String text(Map<String, SheetRow> by, String figure) {
        SheetRow row = by.get(figure);
        return row == null ? "" : row.text(1);
    }

    private static double number(Map<String, SheetRow> by, String figure) {
        SheetRow row = by.get(figure);
        return row == null ? 0 : row.number(1, 0);
    }

    private static @Nullable WatchClass watchClass(Map<String, SheetRow> by) {
        SheetRow row = by.get("class");
        return row == null ? null : row.choiceOrNull(1, WatchClass.class);
    }

    private static <E extends Enum<E>> E choice(Map<String, SheetRow> by, String figure, Class<E> kind, E absent) {
        SheetRow row = by.get(figure);
        E chosen = row == null ? absent : row.choice(1, kind, absent);
        return chosen == null ? absent : chosen;
    }
}
