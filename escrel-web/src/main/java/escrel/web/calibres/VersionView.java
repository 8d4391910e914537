package escrel.web.calibres;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.core.calibre.VersionDifference;
import escrel.core.calibre.VersionDifference.Kind;
import escrel.core.calibre.VersionDifference.Subject;
import escrel.web.plan.PlanDrawing;
import escrel.web.storage.SheetMapper;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A version of a sheet beside the one that is used.
 *
 * @param used number of the version that is used, 0 when the calibre has none here
 * @param here the plan of the one that is used, nothing when there is none
 * @param there the plan of the version looked at; what differs is marked on both
 * @param summary in one sentence
 * @param jobs numbers of the jobs that were done with it
 */
record VersionView(
        CalibreSheet sheet,
        SheetMapper.VersionRow row,
        int used,
        Side side,
        @Nullable PlanDrawing here,
        PlanDrawing there,
        String summary,
        List<Chapter> chapters,
        List<Integer> jobs) {
    /** The differences about one thing. */
    record Chapter(String title, List<VersionDifference.Line> lines) {}

    static VersionView of(
            CalibreSheet sheet,
            SheetMapper.VersionRow row,
            @Nullable CalibreSheet ours,
            int used,
            Side side,
            List<Integer> jobs) {
        VersionDifference difference =
                ours == null ? new VersionDifference(List.of()) : VersionDifference.between(ours, sheet);
        return new VersionView(
                sheet,
                row,
                used,
                side,
                ours == null ? null : plan(ours, side, difference),
                plan(sheet, side, difference),
                summary(ours, difference),
                Arrays.stream(Subject.values())
                        .map(s -> new Chapter(title(s), difference.of(s)))
                        .filter(c -> !c.lines().isEmpty())
                        .toList(),
                jobs);
    }

    /** Whether it can be made the one that is used. */
    public boolean canBeUsed() {
        return row.version() != used && row.standing() != SheetMapper.Standing.PASSED;
    }

    /** Whether it is one of this workshop's own. */
    public boolean ours() {
        return row.standing() == SheetMapper.Standing.OURS;
    }

    /** Whether nobody said anything of it yet. */
    public boolean waits() {
        return row.standing() == SheetMapper.Standing.WAITING;
    }

    /** Where it stands, in words. */
    public String standing() {
        return switch (row.standing()) {
            case OURS -> row.version() == used ? "the one that is used" : "an earlier one of this workshop";
            case WAITING -> "from elsewhere, waiting";
            case PASSED -> "from elsewhere, accepted";
            case PUT_AWAY -> "from elsewhere, put away";
        };
    }

    private static PlanDrawing plan(CalibreSheet sheet, Side side, VersionDifference difference) {
        Set<String> marked = difference.parts();
        return PlanDrawing.of(
                sheet, side, new PlanDrawing.State(code -> PlanDrawing.isOver(sheet, code), marked, null, Set.of()));
    }

    private static String title(Subject subject) {
        String words = subject.name().toLowerCase(Locale.ROOT).replace('_', ' ');
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    private static String summary(@Nullable CalibreSheet ours, VersionDifference difference) {
        if (ours == null) {
            return "This workshop has no sheet of this calibre: it would be the first.";
        }
        if (difference.lines().isEmpty()) {
            return "It says the same as the sheet that is used.";
        }
        List<String> said = new ArrayList<>();
        for (Subject subject : Subject.values()) {
            String counts = Arrays.stream(Kind.values())
                    .filter(k -> difference.count(subject, k) > 0)
                    .map(k -> difference.count(subject, k) + " " + k.name().toLowerCase(Locale.ROOT))
                    .collect(Collectors.joining(", "));
            if (!counts.isEmpty() && subject != Subject.FIGURES && subject != Subject.LORE) {
                said.add(title(subject).toLowerCase(Locale.ROOT) + " " + counts);
            } else if (!counts.isEmpty()) {
                said.add(title(subject).toLowerCase(Locale.ROOT) + " otherwise");
            }
        }
        String words = String.join("; ", said);
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1) + ".";
    }
}
