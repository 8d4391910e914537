package escrel.core.owner;

import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Defect;
import escrel.core.marks.MarkSeen;
import escrel.core.parts.EarlierWork;
import escrel.core.parts.Finding;
import escrel.core.parts.Findings;
import escrel.core.service.JobHistory;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What the owner says was done before, with what was seen for and against it: it judges the watch, never the person. Source:
 * craft 2.1, 2.9.
 *
 * @param words the claim
 * @param signsFor that somebody was in there
 * @param signsAgainst that it was done lately, or at all
 */
public record Claim(String words, List<String> signsFor, List<String> signsAgainst) {
    public Claim {
        signsFor = List.copyOf(signsFor);
        signsAgainst = List.copyOf(signsAgainst);
    }

    /** The claim that stands; nothing while none was made. */
    public static Optional<Claim> of(
            JobHistory history, List<EarlierWork.Line> earlier, Findings findings, CalibreSheet movement) {
        return history.last(ClaimSaid.class)
                .map(ClaimSaid::words)
                .filter(w -> !w.isEmpty())
                .map(w -> new Claim(w, signsFor(history, earlier), signsAgainst(earlier, findings, movement)));
    }

    private static List<String> signsFor(JobHistory history, List<EarlierWork.Line> earlier) {
        List<String> signs = new ArrayList<>();
        String marks = history.all(MarkSeen.class)
                .filter(m -> m.kind() == MarkSeen.Kind.REPAIRER)
                .map(MarkSeen::text)
                .collect(Collectors.joining(", "));
        if (!marks.isEmpty()) {
            signs.add("a repairer's mark: " + marks);
        }
        earlier.stream().filter(e -> !e.against()).map(EarlierWork.Line::words).forEach(signs::add);
        return signs;
    }

    private static List<String> signsAgainst(List<EarlierWork.Line> earlier, Findings findings, CalibreSheet movement) {
        List<String> signs = new ArrayList<>();
        earlier.stream()
                .filter(EarlierWork.Line::against)
                .map(EarlierWork.Line::words)
                .forEach(signs::add);
        String old = findings.all().stream()
                .filter(f -> f.defect() == Defect.DRY || f.defect() == Defect.GUMMED || f.defect() == Defect.DIRTY)
                .map((Finding f) -> f.where(movement))
                .distinct()
                .collect(Collectors.joining(", "));
        if (!old.isEmpty()) {
            signs.add("dry, gummed or dirty: " + old);
        }
        return signs;
    }

    /** In one line, for the report. */
    public String told() {
        String seen = signsFor.isEmpty() && signsAgainst.isEmpty()
                ? "Nothing that was seen speaks for it or against it."
                : (signsFor.isEmpty() ? "" : "For it: " + String.join("; ", signsFor) + ". ")
                        + (signsAgainst.isEmpty() ? "" : "Against it: " + String.join("; ", signsAgainst) + ".");
        return "Said to have been done before: " + words + ". " + seen.strip();
    }
}
