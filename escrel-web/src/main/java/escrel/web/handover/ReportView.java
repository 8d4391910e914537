package escrel.web.handover;

import escrel.core.calibre.CalibreSheet;
import escrel.core.casework.CaseWorked;
import escrel.core.casework.Layered;
import escrel.core.casework.ParcelSent;
import escrel.core.casework.WaterTested;
import escrel.core.handover.Account;
import escrel.core.handover.HandedOver;
import escrel.core.job.Job;
import escrel.core.outside.Outside;
import escrel.core.outside.OutsidePiece;
import escrel.core.owner.Claim;
import escrel.core.parts.Decided;
import escrel.core.parts.EarlierWork;
import escrel.core.parts.Finding;
import escrel.core.regulation.Interventions;
import escrel.core.regulation.Magnetism;
import escrel.core.service.Arrival;
import escrel.core.service.PhotoAdded;
import escrel.core.service.PhotosPaired;
import escrel.core.service.Round;
import escrel.core.timing.comparison.Repeatability;
import escrel.web.chart.TurnView;
import escrel.web.job.OpenJob;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The report for the owner. */
record ReportView(
        int number,
        String opened,
        Arrival arrival,
        List<String> came,
        String calibre,
        List<Found> found,
        List<EarlierWork.Line> earlier,
        String marks,
        @Nullable String claim,
        boolean waterTested,
        List<String> lume,
        List<String> done,
        @Nullable TurnView turn,
        List<Account> accounts,
        List<String> waived,
        List<OldParts> oldParts,
        List<PhotoAdded> photos,
        List<PhotosPaired> pairs,
        @Nullable String handedOver) {
    private static final int PHOTOS = 6;

    /** A finding with what was done about it. */
    record Found(String where, String grade, String words, String origin, String decision) {}

    static ReportView of(OpenJob job, String opened, Repeatability hand) {
        CalibreSheet sheet = job.sheet();
        return new ReportView(
                job.number(),
                opened,
                job.arrival(),
                came(job),
                sheet == null
                        ? "calibre unknown"
                        : sheet.name() + ", " + sheet.data().description(),
                job.job().findings().all().stream().map(f -> found(job, f)).toList(),
                job.job().earlierWork(),
                job.job().marks().told(),
                job.job().claim().map(Claim::told).orElse(null),
                job.history().last(WaterTested.class).isPresent(),
                job.job().lume().told(),
                done(job.job()),
                TurnView.of(job, hand),
                job.job().accounts(),
                waived(job.job()),
                OldParts.of(job.job()),
                job.history().all(PhotoAdded.class).limit(PHOTOS).toList(),
                PhotosPaired.in(job.history()).stream()
                        .filter(PhotosPaired::inReport)
                        .toList(),
                job.history().last(HandedOver.class).map(HandedOver::words).orElse(null));
    }

    /** What came and how its outside looked, where somebody looked. */
    private static List<String> came(OpenJob job) {
        Outside outside = Outside.of(job.history());
        List<String> lines = new ArrayList<>();
        outside.parcel().ifPresent(p -> lines.add("In the parcel: " + p.said() + "."));
        String seen = Arrays.stream(OutsidePiece.values())
                .flatMap(p -> outside.grade(p).map(g -> p.words() + " " + words(g)).stream())
                .collect(Collectors.joining(", "));
        if (!seen.isEmpty()) {
            lines.add("The outside as it came: " + seen + ".");
        }
        return lines;
    }

    /** The chain of causes, told from the finding back to where it began. */
    private static String because(OpenJob job, Finding finding) {
        return job.job().findings().causesOf(finding).stream()
                .map(c -> ", because of: " + place(c, job.movement()) + ", " + c.what())
                .collect(Collectors.joining());
    }

    private static String place(Finding finding, CalibreSheet movement) {
        return finding.where(movement);
    }

    private static Found found(OpenJob job, Finding finding) {
        String wanting = finding.wanting();
        return new Found(
                place(finding, job.movement()),
                words(finding.grade()),
                finding.what() + because(job, finding),
                words(finding.origin()),
                finding.decision()
                        .map(d -> decision(d) + (wanting == null ? "" : " — " + wanting))
                        .orElse(finding.grade().needsDecision() ? "nothing decided" : "no decision needed"));
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

    /** What was done, round by round and act by act. */
    private static List<String> done(Job job) {
        List<String> done = new ArrayList<>();
        job.agreed()
                .ifPresent(a ->
                        done.add("Agreed: " + a.work().words() + (a.words().isBlank() ? "" : ", " + a.words()) + "."));
        long off = homes(job, job.lives().everOff());
        if (off == 0) {
            done.add("The movement was not taken apart.");
        } else {
            long clean = job.lives().everOff().stream()
                    .filter(p -> job.cleaning().wasEverWashed(p))
                    .count();
            done.add("%d of %d parts taken off, %d cleaned."
                    .formatted(off, job.movement().homes().size(), clean));
        }
        for (Round round : job.lives().rounds()) {
            if (round.number() > 1) {
                long lifted = homes(job, round.lifted());
                done.add("Opened again, %s: %d %s lifted."
                        .formatted(round.reason().words(), lifted, lifted == 1 ? "part" : "parts"));
            }
        }
        job.interventions().stream()
                .filter(i -> !i.words().startsWith("opened again")
                        && !i.words().startsWith("taken apart")
                        && !i.words().equals(Interventions.DEMAGNETISED))
                .forEach(i -> done.add(capital(i.words()) + "."));
        job.history().all(CaseWorked.class).forEach(w -> done.add(capital(w.said()) + "."));
        job.history().all(Layered.class).forEach(l -> done.add("Plating: " + l.said() + "."));
        job.history()
                .last(WaterTested.class)
                .ifPresent(w -> done.add(w.said() + ". Nothing beyond this test is promised."));
        job.history().last(ParcelSent.class).ifPresent(p -> done.add(p.said() + "."));
        Magnetism.told(job.history()).ifPresent(told -> done.add("Magnetism: " + told + "."));
        return done;
    }

    private static long homes(Job job, Collection<String> parts) {
        return parts.stream()
                .filter(p -> !job.movement().requirePart(p).isPowerDown())
                .count();
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** Every waiver, printed with its reason. */
    private static List<String> waived(Job job) {
        List<String> waived = new ArrayList<>();
        for (Account account : job.accounts()) {
            account.open().forEach(i -> account.reasonFor(i).ifPresent(r -> waived.add(i.words() + ": " + r)));
        }
        return waived;
    }

    private static String words(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
