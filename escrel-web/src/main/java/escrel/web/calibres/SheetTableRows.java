package escrel.web.calibres;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Shape;
import escrel.core.calibre.StemRelease;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** A sheet written out as tables of text; {@link SheetTables} reads them back. */
final class SheetTableRows {
    private SheetTableRows() {}

    /** The tables of a sheet, in the order of {@link SheetTable}. */
    static List<SheetTable.Filled> of(CalibreSheet sheet) {
        List<SheetTable.Filled> all = new ArrayList<>();
        for (SheetTable table : SheetTable.values()) {
            all.add(new SheetTable.Filled(table, rows(sheet, table)));
        }
        return all;
    }

    private static List<List<String>> rows(CalibreSheet s, SheetTable table) {
        return switch (table) {
            case DATA -> dataRows(s);
            case PARTS -> s.parts().stream().map(SheetTableRows::partRow).toList();
            case SHAPES ->
                s.parts().stream()
                        .filter(p -> p.shape() != null)
                        .map(p -> shapeRow(p.code(), Objects.requireNonNull(p.shape())))
                        .toList();
            case SCREWS ->
                s.screws().stream()
                        .map(x -> List.of(
                                x.code(),
                                x.part(),
                                n(x.x()),
                                n(x.y()),
                                e(x.length()),
                                e(x.head()),
                                e(x.thread()),
                                n(x.bladeMillimetres()),
                                e(x.home()),
                                x.note()))
                        .toList();
            case HOLDS ->
                s.holds().stream()
                        .map(h -> List.of(h.part(), h.by(), h.why(), e(h.basis())))
                        .toList();
            case EARLY ->
                s.earlyIns().stream()
                        .map(x -> List.of(x.part(), x.before(), x.why()))
                        .toList();
            case OIL ->
                s.oilPoints().stream()
                        .map(o -> List.of(
                                o.code(),
                                o.name(),
                                o.part(),
                                e(o.side()),
                                e(o.lubricant()),
                                o.amount(),
                                t(o.after()),
                                t(o.before()),
                                n(o.x()),
                                n(o.y()),
                                o.why()))
                        .toList();
            case TESTS ->
                s.tests().stream()
                        .map(x -> List.of(
                                x.code(), x.name(), e(x.side()), x.after(), t(x.before()), x.expect(), e(x.proof())))
                        .toList();
            case JEWELS ->
                s.jewels().stream()
                        .map(j -> List.of(e(j.kind()), j.part(), e(j.side()), n(j.x()), n(j.y())))
                        .toList();
            case TRAIN ->
                s.train() == null
                        ? List.of()
                        : s.train().mobiles().stream()
                                .map(m -> List.of(
                                        m.part(),
                                        String.valueOf(m.wheelTeeth()),
                                        m.pinionLeaves() == 0 ? "" : String.valueOf(m.pinionLeaves())))
                                .toList();
            case LORE -> LoreRows.of(s);
        };
    }

    private static List<List<String>> dataRows(CalibreSheet s) {
        CalibreData d = s.data();
        StemRelease r = s.stemRelease();
        List<List<String>> rows = new ArrayList<>(List.of(
                List.of("name", s.name()),
                List.of("diameter mm", n(d.diameterMillimetres())),
                List.of("beats per hour", d.beatsPerHour() == null ? "" : n(d.beatsPerHour())),
                List.of("lift angle", d.liftAngleDegrees() == null ? "" : n(d.liftAngleDegrees())),
                List.of("jewels", String.valueOf(d.jewels())),
                List.of("setting", e(d.setting())),
                List.of("stud", e(d.stud())),
                List.of("class", d.watchClass() == null ? "" : e(d.watchClass())),
                List.of("description", t(d.description()))));
        rows.add(List.of("stem release", r == null ? "" : r.kind()));
        rows.add(List.of("crown position", r == null ? "" : r.crownPosition()));
        rows.add(List.of("stem tool", r == null ? "" : r.tool()));
        rows.add(List.of("stem turns", r == null ? "" : r.turns()));
        rows.add(List.of("stem warning", r == null ? "" : r.warning()));
        return rows;
    }

    private static List<String> partRow(Part p) {
        return List.of(
                p.code(),
                p.name(),
                e(p.group()),
                e(p.side()),
                e(p.role()),
                t(p.unit()),
                String.join(", ", p.hazards().stream().map(SheetTableRows::e).toList()),
                p.liftFrom(),
                p.orientation(),
                e(p.wash()),
                p.washNote(),
                p.minutes() == 0 ? "" : n(p.minutes()),
                p.note(),
                p.clip(),
                p.stateBefore(),
                t(p.staysWith()),
                String.join(", ", p.aliases()));
    }

    private static List<String> shapeRow(String code, Shape s) {
        String points = String.join(
                " ", s.points().stream().map(p -> n(p[0]) + "," + n(p[1])).toList());
        return List.of(
                code,
                e(s.kind()),
                n(s.x()),
                n(s.y()),
                n(s.radius()),
                s.teeth() == 0 ? "" : String.valueOf(s.teeth()),
                points);
    }

    static String n(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e9
                ? String.valueOf((long) value)
                : String.valueOf(value);
    }

    static String t(@Nullable Object value) {
        return value == null ? "" : value.toString();
    }

    static String e(@Nullable Enum<?> value) {
        return value == null ? "" : value.name().toLowerCase().replace('_', ' ');
    }
}
