package escrel.web.calibres;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Lore;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Knowledge of a calibre as rows: what kind of knowledge, then up to four cells. */
final class LoreRows {
    /** A part that a variant has otherwise, or has not. */
    private static final String VARIANT_PART = "variant part";

    /** Written in the place of a name where the variant has no such part. */
    private static final String WITHOUT = "none";

    private static final List<String> KINDS = List.of(
            "trap",
            "family",
            "variant",
            VARIANT_PART,
            "weak point",
            "interchange",
            "setting opens",
            "pusher",
            "tool",
            "document",
            "targets",
            "expected");

    private LoreRows() {}

    static List<List<String>> of(CalibreSheet sheet) {
        Lore lore = sheet.lore();
        List<List<String>> rows = new ArrayList<>();
        sheet.traps().forEach(t -> rows.add(row("trap", t, "", "", "")));
        if (!lore.family().isEmpty()) {
            rows.add(row("family", lore.family(), "", "", ""));
        }
        lore.variants().forEach(v -> {
            rows.add(row("variant", v.name(), "", v.toldBy(), ""));
            v.changes()
                    .forEach(c -> rows.add(
                            row(VARIANT_PART, v.name(), c.part(), c.name() == null ? WITHOUT : c.name(), c.note())));
        });
        lore.weakPoints().forEach(w -> rows.add(row("weak point", w.words(), SheetTableRows.t(w.part()), "", "")));
        lore.interchange().forEach(i -> rows.add(row("interchange", i.part(), i.calibre(), i.otherPart(), i.note())));
        if (!lore.settingOpens().isEmpty()) {
            rows.add(row("setting opens", lore.settingOpens(), "", "", ""));
        }
        lore.pushers().forEach(p -> rows.add(row("pusher", p.does(), p.place(), "", "")));
        lore.tools().forEach(t -> rows.add(row("tool", t.task(), t.size(), "", "")));
        lore.documents().forEach(d -> rows.add(row("document", d.title(), d.from(), "", "")));
        Lore.Limits limits = lore.targets();
        if (limits != null) {
            rows.add(row(
                    "targets",
                    n(limits.lowRate()) + " to " + n(limits.highRate()),
                    n(limits.spread()),
                    n(limits.lowestAmplitude()),
                    n(limits.beatError())));
        }
        if (!lore.expected().isEmpty()) {
            rows.add(row("expected", lore.expected(), "", "", ""));
        }
        return rows;
    }

    private static String n(double value) {
        return SheetTableRows.n(value);
    }

    private static List<String> row(String kind, String what, String where, String more, String note) {
        return List.of(kind, what, where, more, note);
    }

    static List<String> traps(List<SheetRow> rows) {
        return rows.stream()
                .filter(r -> r.text(0).equals("trap"))
                .map(r -> r.text(1))
                .toList();
    }

    /** The knowledge in these rows; a row of no known kind is refused, so that nothing typed is lost in silence. */
    static Lore read(Lore old, List<SheetRow> rows) {
        rows.stream()
                .filter(r -> !KINDS.contains(r.text(0)))
                .forEach(r -> r.refuse(0, "is none of " + String.join(", ", KINDS)));
        requireVariants(rows);
        return new Lore(
                first(rows, "family"),
                all(rows, "variant").stream()
                        .map(r -> new Lore.Variant(r.text(1), r.text(3), changes(rows, r.text(1))))
                        .toList(),
                all(rows, "weak point").stream()
                        .map(r -> new Lore.WeakPoint(r.orNull(2), r.text(1)))
                        .toList(),
                all(rows, "interchange").stream()
                        .map(r -> new Lore.Interchange(r.text(1), r.text(2), r.text(3), r.text(4)))
                        .toList(),
                first(rows, "setting opens"),
                all(rows, "pusher").stream()
                        .map(r -> new Lore.Pusher(r.text(2), r.text(1)))
                        .toList(),
                all(rows, "tool").stream()
                        .map(r -> new Lore.ToolFit(r.text(1), r.text(2)))
                        .toList(),
                all(rows, "document").stream()
                        .map(r -> new Lore.Source(r.text(1), r.text(2)))
                        .toList(),
                targets(old, rows),
                first(rows, "expected"));
    }

    private static List<Lore.Change> changes(List<SheetRow> rows, String variant) {
        return all(rows, VARIANT_PART).stream()
                .filter(r -> r.text(1).equals(variant))
                .map(r -> new Lore.Change(r.text(2), r.text(3).equals(WITHOUT) ? null : r.text(3), r.text(4)))
                .toList();
    }

    /** A part of a variant nobody described would be lost in silence. */
    private static void requireVariants(List<SheetRow> rows) {
        List<String> names = all(rows, "variant").stream().map(r -> r.text(1)).toList();
        all(rows, VARIANT_PART).stream()
                .filter(r -> !names.contains(r.text(1)))
                .forEach(r -> r.refuse(1, "is no variant of this sheet: give it a row “variant” first"));
    }

    private static Lore.@Nullable Limits targets(Lore old, List<SheetRow> rows) {
        List<SheetRow> found = all(rows, "targets");
        if (found.isEmpty()) {
            return null;
        }
        SheetRow row = found.get(0);
        String[] ends = row.text(1).split(" to ");
        try {
            return new Lore.Limits(
                    Double.parseDouble(ends[0].strip()),
                    Double.parseDouble(ends[1].strip()),
                    row.number(2, 0),
                    row.number(3, 0),
                    row.number(4, 0));
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
            row.refuse(1, "is no range such as -5 to 15");
            return old.targets();
        }
    }

    private static List<SheetRow> all(List<SheetRow> rows, String kind) {
        return rows.stream().filter(r -> r.text(0).equals(kind)).toList();
    }

    private static String first(List<SheetRow> rows, String kind) {
        return all(rows, kind).stream().findFirst().map(r -> r.text(1)).orElse("");
    }
}
