package escrel.web.calibres;

import escrel.core.MendableException;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.EarlyIn;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Jewel;
import escrel.core.calibre.Lore;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Shape;
import escrel.core.calibre.Side;
import escrel.core.calibre.Train;
import escrel.core.calibre.Wash;
import escrel.core.quantity.BeatRate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/**
 * A sheet as tables of text, a line a row, and back. What is typed or pasted is read cell by cell; everything wrong is
 * named with table, row and column before anything is kept.
 */
final class SheetTables {
    private static final int FAULTS_SHOWN = 8;
    private static final String MISSING = "?";

    private final CalibreSheet base;
    private final Map<String, String> tables;
    private final List<String> faults = new ArrayList<>();

    private SheetTables(CalibreSheet base, Map<String, String> tables) {
        this.base = base;
        this.tables = tables;
    }

    /**
     * The sheet as edited.
     *
     * @param tables by the name of the table; one that is absent stays as it was
     * @throws MendableException naming table, row and column of everything that cannot be read
     */
    static CalibreSheet read(CalibreSheet base, Map<String, String> tables) {
        SheetTables reading = new SheetTables(base, tables);
        CalibreSheet sheet = reading.sheet();
        if (!reading.faults.isEmpty()) {
            List<String> shown = reading.faults.subList(0, Math.min(FAULTS_SHOWN, reading.faults.size()));
            throw new MendableException(
                    String.join("; ", shown),
                    "The sheet is as it was, and what you typed is still in the tables: go back to them.",
                    "Correct these cells and keep the sheet again.");
        }
        return sheet;
    }

    private List<SheetRow> of(SheetTable table) {
        String text = tables.getOrDefault(table.name().toLowerCase(), "");
        List<SheetRow> rows = new ArrayList<>();
        int number = 0;
        for (String line : text.split("\\R")) {
            number++;
            if (!line.isBlank()) {
                rows.add(new SheetRow(table, number, line.split("\t", -1), faults));
            }
        }
        return rows;
    }

    private boolean given(SheetTable table) {
        return tables.containsKey(table.name().toLowerCase());
    }

    private CalibreSheet sheet() {
        List<Part> parts = given(SheetTable.PARTS)
                ? of(SheetTable.PARTS).stream().map(this::part).toList()
                : base.parts();
        if (given(SheetTable.SHAPES)) {
            Map<String, Shape> shapes = new HashMap<>();
            of(SheetTable.SHAPES).forEach(r -> shapes.put(r.text(0), r.shape()));
            parts = parts.stream().map(p -> p.withShape(shapes.get(p.code()))).toList();
        } else {
            parts = parts.stream()
                    .map(p -> p.withShape(base.part(p.code()).map(Part::shape).orElse(null)))
                    .toList();
        }
        SheetFigures figures = SheetFigures.read(base, given(SheetTable.DATA) ? of(SheetTable.DATA) : null, faults);
        Lore lore = given(SheetTable.LORE) ? LoreRows.read(base.lore(), of(SheetTable.LORE)) : base.lore();
        List<String> traps = given(SheetTable.LORE) ? LoreRows.traps(of(SheetTable.LORE)) : base.traps();
        return new CalibreSheet(
                base.id(),
                figures.name(),
                figures.data(),
                figures.stemRelease(),
                parts,
                given(SheetTable.SCREWS)
                        ? of(SheetTable.SCREWS).stream().map(SheetTables::screw).toList()
                        : base.screws(),
                given(SheetTable.HOLDS)
                        ? of(SheetTable.HOLDS).stream()
                                .map(r -> new Hold(
                                        r.text(0),
                                        r.text(1),
                                        r.text(2),
                                        r.choice(3, Hold.Basis.class, Hold.Basis.STATED)))
                                .toList()
                        : base.holds(),
                given(SheetTable.EARLY)
                        ? of(SheetTable.EARLY).stream()
                                .map(r -> new EarlyIn(r.text(0), r.text(1), r.text(2)))
                                .toList()
                        : base.earlyIns(),
                given(SheetTable.OIL)
                        ? of(SheetTable.OIL).stream().map(SheetTables::oil).toList()
                        : base.oilPoints(),
                given(SheetTable.TESTS)
                        ? of(SheetTable.TESTS).stream()
                                .map(r -> new AssemblyTest(
                                        r.text(0),
                                        r.text(1),
                                        r.choice(2, Side.class, null),
                                        r.text(3),
                                        r.orNull(4),
                                        r.text(5),
                                        r.choice(6, AssemblyTest.Proof.class, AssemblyTest.Proof.SEEN)))
                                .toList()
                        : base.tests(),
                given(SheetTable.JEWELS)
                        ? of(SheetTable.JEWELS).stream()
                                .map(r -> new Jewel(
                                        r.choice(0, Jewel.Kind.class, null),
                                        r.text(1),
                                        r.choice(2, Side.class, null),
                                        r.number(3, 0),
                                        r.number(4, 0)))
                                .toList()
                        : base.jewels(),
                given(SheetTable.TRAIN) ? train(figures.data()) : base.train(),
                traps,
                lore,
                base.pictures());
    }

    private @Nullable Train train(CalibreData data) {
        List<SheetRow> rows = of(SheetTable.TRAIN);
        List<Train.Mobile> mobiles = new ArrayList<>(rows.stream()
                .map(r -> new Train.Mobile(r.text(0), count(r, 1), count(r, 2)))
                .toList());
        for (int i = 0; i < rows.size(); i++) {
            solve(rows, mobiles, i, 1, Train.Count.WHEEL, data);
            solve(rows, mobiles, i, 2, Train.Count.PINION, data);
        }
        return mobiles.isEmpty() ? null : new Train(mobiles);
    }

    private static int count(SheetRow row, int column) {
        return row.text(column).equals(MISSING) ? 1 : (int) row.number(column, 0);
    }

    /** A question mark in the place of a count asks for the whole number that gives the stated beat (M6). */
    private static void solve(
            List<SheetRow> rows,
            List<Train.Mobile> mobiles,
            int place,
            int column,
            Train.Count count,
            CalibreData data) {
        if (!rows.get(place).text(column).equals(MISSING)) {
            return;
        }
        OptionalInt solved = mobiles.size() > 2
                ? Train.solve(
                        mobiles,
                        place,
                        count,
                        BeatRate.of(Math.max(1, Objects.requireNonNullElse(data.beatsPerHour(), 0.0))))
                : OptionalInt.empty();
        if (solved.isEmpty()) {
            rows.get(place).refuse(column, "has no whole number that gives the stated beat");
            return;
        }
        Train.Mobile open = mobiles.get(place);
        mobiles.set(
                place,
                count == Train.Count.WHEEL
                        ? new Train.Mobile(open.part(), solved.getAsInt(), open.pinionLeaves())
                        : new Train.Mobile(open.part(), open.wheelTeeth(), solved.getAsInt()));
    }

    private Part part(SheetRow r) {
        return new Part(
                r.text(0),
                r.text(1),
                r.choice(2, Group.class, null),
                r.choice(3, Side.class, null),
                r.choice(4, Role.class, null),
                r.orNull(5),
                r.choices(6, Hazard.class),
                r.text(7),
                r.text(8),
                r.choice(9, Wash.class, Wash.MACHINE),
                r.text(10),
                r.number(11, 0),
                r.text(12),
                null,
                r.list(16),
                r.text(14),
                r.orNull(15),
                r.text(13));
    }

    private static ScrewPlace screw(SheetRow r) {
        return new ScrewPlace(
                r.text(0),
                r.text(1),
                r.number(2, 0),
                r.number(3, 0),
                r.choice(4, ScrewPlace.LengthClass.class, null),
                r.choice(5, ScrewPlace.Head.class, ScrewPlace.Head.FLAT),
                r.choice(6, ScrewPlace.Thread.class, ScrewPlace.Thread.RIGHT),
                r.number(7, 1),
                r.choice(8, ScrewPlace.Home.class, ScrewPlace.Home.ANY_OF_ITS_KIND),
                r.text(9));
    }

    private static OilPoint oil(SheetRow r) {
        return new OilPoint(
                r.text(0),
                r.text(1),
                r.text(2),
                r.choice(3, Side.class, null),
                r.choice(4, LubricantClass.class, null),
                r.text(5),
                r.orNull(6),
                r.orNull(7),
                r.number(8, 0),
                r.number(9, 0),
                r.text(10));
    }
}
