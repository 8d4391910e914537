package escrel.core.parts;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.service.JobHistory;
import escrel.core.teardown.PartOff;
import escrel.core.teardown.ScrewsFound;
import escrel.core.teardown.TeardownState;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
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
    public static List<Row> of(TeardownState state, JobHistory history) {
        CalibreSheet sheet = state.sheet();
        Findings findings = Findings.of(history);
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
