package escrel.core.calibre;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a sheet from a file leaves out and may not. Files know nothing of our annotations: every field may be missing, so
 * each is looked at before anything else reads it.
 */
final class MissingFields {
    private final List<String> faults = new ArrayList<>();

    private MissingFields() {}

    /** A sentence for every record that lacks something; empty for a whole sheet. */
    static List<String> of(CalibreSheet sheet) {
        MissingFields missing = new MissingFields();
        missing.parts(sheet);
        missing.order(sheet);
        missing.chart(sheet);
        missing.rest(sheet);
        return missing.faults;
    }

    private void parts(CalibreSheet sheet) {
        for (Part p : sheet.parts()) {
            require("Part '" + p.code() + "'", "code, name, group or side", p.code(), p.name(), p.group(), p.side());
            Shape shape = p.shape();
            if (shape != null) {
                require("The shape of part '" + p.code() + "'", "its kind", shape.kind());
                boolean pairs = shape.points().stream().allMatch(q -> q.length == 2);
                if (!pairs) {
                    faults.add("The outline of part '" + p.code() + "' has a corner that is no pair of numbers");
                }
            }
        }
        for (ScrewPlace s : sheet.screws()) {
            require("Screw '" + s.code() + "'", "code, part or length class", s.code(), s.part(), s.length());
        }
    }

    private void order(CalibreSheet sheet) {
        for (Hold h : sheet.holds()) {
            require("The hold of '" + h.part() + "' by '" + h.by() + "'", "part or by", h.part(), h.by());
        }
        for (EarlyIn e : sheet.earlyIns()) {
            require("The early part '" + e.part() + "'", "part or before", e.part(), e.before());
        }
    }

    private void chart(CalibreSheet sheet) {
        for (OilPoint p : sheet.oilPoints()) {
            require(
                    "Oil point '" + p.code() + "'",
                    "code, name, part, lubricant or side",
                    p.code(),
                    p.name(),
                    p.part(),
                    p.lubricant(),
                    p.side());
        }
        for (AssemblyTest t : sheet.tests()) {
            require("Test '" + t.code() + "'", "code, name, after or side", t.code(), t.name(), t.after(), t.side());
        }
    }

    private void rest(CalibreSheet sheet) {
        sheet.jewels().forEach(j -> require("A jewel", "kind, part or side", j.kind(), j.part(), j.side()));
        Train train = sheet.train();
        if (train != null) {
            train.mobiles().forEach(m -> require("A wheel of the train", "its part", m.part()));
        }
        StemRelease release = sheet.stemRelease();
        if (release != null) {
            require(
                    "The stem release",
                    "kind, crown position, tool or warning",
                    release.kind(),
                    release.crownPosition(),
                    release.tool(),
                    release.warning());
        }
        sheet.pictures().forEach(p -> require("Picture " + p.number(), "its side", p.side()));
        lore(sheet.lore());
    }

    private void lore(Lore lore) {
        lore.variants().forEach(v -> require("A variant", "name or how it is told", v.name(), v.toldBy()));
        lore.weakPoints().forEach(w -> require("A weak point", "its words", w.words()));
        lore.interchange()
                .forEach(i -> require(
                        "An interchange",
                        "part, calibre or other part",
                        i.part(),
                        i.calibre(),
                        i.isOfAll() ? i.calibre() : i.otherPart()));
        lore.pushers().forEach(p -> require("A pusher", "place or what it does", p.place(), p.does()));
        lore.tools().forEach(t -> require("A tool", "task or size", t.task(), t.size()));
        lore.documents().forEach(d -> require("A document", "title or source", d.title(), d.from()));
    }

    private void require(String what, String fields, @Nullable Object... values) {
        for (Object value : values) {
            if (value == null) {
                faults.add(what + " lacks " + fields);
                return;
            }
        }
    }
}
