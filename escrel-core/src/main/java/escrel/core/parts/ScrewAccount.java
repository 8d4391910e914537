package escrel.core.parts;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.service.OpenItem;
import escrel.core.service.PartOff;
import escrel.core.service.RuleBook;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Tally;
import escrel.core.teardown.TeardownState;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Screws counted by where they live and by length class. Source: M17. */
public final class ScrewAccount {
    /**
     * The screws of one length class that hold one part.
     *
     * @param total on the sheet
     * @param out lying in the tray
     * @param in in their holes, or never out
     * @param missing missing on arrival and not supplied
     * @param replaced by decision
     * @param remark what differs from the sheet, or empty
     */
    public record Row(
            Part part,
            ScrewPlace.LengthClass length,
            ScrewPlace.Thread thread,
            int total,
            int out,
            int in,
            int missing,
            int replaced,
            String remark) {}

    private ScrewAccount() {}

    /** A row for every part, length class and thread that the sheet has screws of, in the order of the sheet. */
    public static List<Row> of(TeardownState state, Findings findings) {
        CalibreSheet sheet = state.sheet();
        List<Row> rows = new ArrayList<>();
        for (Part part : sheet.parts()) {
            Map<String, List<ScrewPlace>> kinds = new LinkedHashMap<>();
            sheet.screwsOf(part.code())
                    .forEach(s -> kinds.computeIfAbsent(s.length() + "/" + s.thread(), k -> new ArrayList<>())
                            .add(s));
            boolean first = true;
            for (List<ScrewPlace> screws : kinds.values()) {
                // which one of several is missing is not recorded: it is counted in the first row of its part
                rows.add(row(state, findings, part, screws, first));
                first = false;
            }
        }
        return List.copyOf(rows);
    }

    /** The account of screws: those in the tray, and those eased in their place that wait to be tightened. */
    public static Tally tally(TeardownState state, RuleBook book) {
        CalibreSheet sheet = state.sheet();
        List<OpenItem> open = new ArrayList<>();
        for (ScrewPlace screw : state.screwsOut()) {
            if (!state.isLeftOut(screw.part())) {
                open.add(new OpenItem(
                        "screw:" + screw.code() + "@" + state.lives().offAt(screw.part()),
                        screw.part(),
                        "%s of %s (%s) is out"
                                .formatted(
                                        screw.code(),
                                        sheet.requirePart(screw.part()).name(),
                                        screw.length()
                                                .name()
                                                .toLowerCase(Locale.ROOT)
                                                .replace('_', ' ')),
                        OpenItem.Place.CLIMB));
            }
        }
        int home = sheet.screws().size() - open.size();
        if (book.asksForAll()) {
            state.lives()
                    .eased()
                    .forEach((part, at) -> open.add(new OpenItem(
                            "eased:" + part + "@" + at,
                            part,
                            sheet.requirePart(part).name() + " was eased: tighten it again",
                            OpenItem.Place.CLIMB)));
        }
        return new Tally(Tally.Kind.SCREWS, sheet.screws().size(), open, home + " in their holes");
    }

    private static Row row(TeardownState state, Findings findings, Part part, List<ScrewPlace> screws, boolean first) {
        PartOff off = state.stepOf(part.code()).orElse(null);
        boolean oneMissing = first && off != null && off.screws() == ScrewsFound.ONE_MISSING;
        boolean supplied = first
                && findings.on(part.code()).stream()
                        .anyMatch(f -> f.isAboutScrew()
                                && f.decision()
                                        .filter(d -> d.decision().replaces())
                                        .isPresent());
        int missing = oneMissing && !supplied ? 1 : 0;
        int present = screws.size() - missing;
        boolean isOut = state.isOff(part.code());
        return new Row(
                part,
                screws.get(0).length(),
                screws.get(0).thread(),
                screws.size(),
                isOut ? present : 0,
                isOut ? 0 : present,
                missing,
                supplied ? 1 : 0,
                first ? remark(state, off) : "");
    }

    private static String remark(TeardownState state, @Nullable PartOff off) {
        if (off == null || off.screwsCounted() == null) {
            return off != null && off.screws() == ScrewsFound.ONE_FOREIGN ? "one is foreign" : "";
        }
        int sheet = state.sheet().screwsOf(off.part()).size();
        return off.screwsCounted() == sheet ? "" : off.screwsCounted() + " came off, the sheet has " + sheet;
    }
}
