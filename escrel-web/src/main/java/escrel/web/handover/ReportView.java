package escrel.web.handover;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.cleaning.CleaningState;
import escrel.core.handover.Account;
import escrel.core.handover.Accounts;
import escrel.core.handover.HandedOver;
import escrel.core.parts.Decided;
import escrel.core.parts.Finding;
import escrel.core.parts.Findings;
import escrel.core.service.Arrival;
import escrel.core.service.PhotoAdded;
import escrel.core.teardown.TeardownState;
import escrel.web.chart.TurnView;
import escrel.web.job.OpenJob;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The report for the owner. */
record ReportView(
        int number,
        String opened,
        Arrival arrival,
        String calibre,
        List<Found> found,
        List<String> done,
        @Nullable TurnView turn,
        List<Account> accounts,
        List<PhotoAdded> photos,
        @Nullable String handedOver) {
    private static final int PHOTOS = 6;

    /** A finding with what was done about it. */
    record Found(String where, String grade, String words, String origin, String decision) {}

    static ReportView of(OpenJob job, String opened) {
        CalibreSheet sheet = job.sheet();
        return new ReportView(
                job.number(),
                opened,
                job.arrival(),
                sheet == null
                        ? "calibre unknown"
                        : sheet.name() + ", " + sheet.data().description(),
                Findings.of(job.history()).all().stream()
                        .map(f -> found(f, sheet))
                        .toList(),
                sheet == null ? List.of() : done(job),
                TurnView.of(job),
                sheet == null ? List.of() : Accounts.of(sheet, job.history()),
                job.history().all(PhotoAdded.class).limit(PHOTOS).toList(),
                job.history().last(HandedOver.class).map(HandedOver::words).orElse(null));
    }

    private static Found found(Finding finding, @Nullable CalibreSheet sheet) {
        String part = finding.part() == null
                ? "the watch"
                : sheet == null
                        ? finding.part()
                        : sheet.part(finding.part()).map(Part::name).orElse(finding.part());
        return new Found(
                finding.isAboutScrew() ? "screw of " + part : part,
                words(finding.grade()),
                finding.words(),
                words(finding.origin()),
                finding.decision().map(ReportView::decision).orElse("nothing decided"));
    }

    private static String decision(Decided decided) {
        StringBuilder out = new StringBuilder(words(decided.decision()));
        if (!decided.words().isBlank()) {
            out.append(": ").append(decided.words());
        }
        if (!decided.source().isBlank()) {
            out.append(" (from ").append(decided.source()).append(')');
        }
        return out.toString();
    }

    private static List<String> done(OpenJob job) {
        TeardownState teardown = job.teardown();
        long off = teardown.order().stream()
                .filter(p -> !teardown.sheet().requirePart(p).isPowerDown())
                .count();
        if (off == 0) {
            return List.of("The movement was not taken apart.");
        }
        long clean = teardown.order().stream()
                .filter(p -> CleaningState.of(teardown, job.history()).wayOf(p).isPresent())
                .count();
        return List.of("%d of %d parts taken off, %d cleaned."
                .formatted(off, teardown.sheet().homes().size(), clean));
    }

    private static String words(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
