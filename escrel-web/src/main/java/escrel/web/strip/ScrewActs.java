package escrel.web.strip;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.learning.ScrewsStated;
import escrel.core.learning.ScrewsStated.Row;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What the panels say of the screws that hold a part: each statement is the whole, so that a later one can be taken back. */
final class ScrewActs {
    private ScrewActs() {}

    static ScrewsStated stated(CalibreSheet sheet, Part part, StripActs.Form form) {
        List<Row> rows = known(sheet, part);
        switch (form.act()) {
            case SCREWS -> rows = List.of(row(form.value()));
            case SCREWS_ALSO -> rows.add(row(form.value()));
            default -> {
                if (rows.isEmpty()) {
                    throw refuse("Nothing is known of its screws yet", "Say first how many held it.");
                }
                rows.set(rows.size() - 1, changed(rows.get(rows.size() - 1), form.value()));
            }
        }
        if (rows.size() > ScrewsStated.MOST_KINDS) {
            throw refuse(
                    "A part has at most " + ScrewsStated.MOST_KINDS + " kinds of screw here",
                    "Say those that are alike as one kind.");
        }
        return ScrewsStated.of(part.code(), rows);
    }

    /** The screws as they are known, kind by kind. */
    private static List<Row> known(CalibreSheet sheet, Part part) {
        Map<String, Row> rows = new LinkedHashMap<>();
        for (ScrewPlace screw : sheet.screwsOf(part.code())) {
            rows.merge(
                    screw.kindWords() + screw.home(),
                    new Row(1, screw.length(), screw.thread(), screw.head(), screw.finish(), screw.home()),
                    (a, b) -> new Row(a.count() + 1, a.length(), a.thread(), a.head(), a.finish(), a.home()));
        }
        return new ArrayList<>(rows.values());
    }

    private static Row row(String value) {
        String[] words = value.split(":");
        return Row.of(
                Integer.parseInt(words[0]),
                ScrewPlace.LengthClass.valueOf(words[1]),
                ScrewPlace.Thread.valueOf(words[2]));
    }

    private static Row changed(Row row, String value) {
        String[] words = value.split(":");
        return switch (words[0]) {
            case "HEAD" -> row.withHead(ScrewPlace.Head.valueOf(words[1]));
            case "FINISH" -> row.withFinish(ScrewPlace.Finish.valueOf(words[1]));
            case "HOME" -> row.withHome(ScrewPlace.Home.valueOf(words[1]));
            default -> throw new IllegalArgumentException(words[0]);
        };
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded.", todo);
    }
}
