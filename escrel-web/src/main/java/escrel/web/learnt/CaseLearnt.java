package escrel.web.learnt;

import escrel.core.MendableException;
import escrel.core.learning.Mishaps;
import escrel.core.learning.Vocabulary;
import escrel.core.watchcase.CaseBound;
import escrel.core.watchcase.CaseCheck;
import escrel.core.watchcase.CaseDifference;
import escrel.core.watchcase.CaseSheet;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.CaseSheets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what was learnt of a watch's case: on its sheet, or as the first sheet of its reference. */
@Component
class CaseLearnt {
    private final Workshop workshop;
    private final CaseSheets cases;

    CaseLearnt(Workshop workshop, CaseSheets cases) {
        this.workshop = workshop;
        this.cases = cases;
    }

    /** What is known now beside the newest sheet of the case. */
    static CaseDifference difference(OpenJob job, @Nullable CaseSheet base) {
        return CaseDifference.of(base, job.history(), job.movement());
    }

    /** What went wrong with a part of the case and is no trap of its sheet yet. */
    static List<Mishaps.Trap> mishaps(OpenJob job, @Nullable CaseSheet base) {
        return Mishaps.in(job.history(), job.movement()).stream()
                .filter(t -> CaseSheet.isOfCase(job.movement().requirePart(t.part())))
                .filter(t -> base == null || !base.traps().contains(t.words()))
                .toList();
    }

    /** The newest sheet of the case; nothing while the job knows none. */
    @Nullable
    CaseSheet base(OpenJob job) {
        CaseSheet bound = job.caseSheet();
        return bound == null ? null : cases.latest(bound.id()).orElse(bound);
    }

    /** Keeps the accepted lines and binds the watch to the case. */
    @Transactional
    public CaseSheet accept(int number, int seq, List<String> lines, String maker, String reference) {
        OpenJob job = workshop.load(number);
        job.requireSequence(seq);
        CaseSheet base = base(job);
        CaseSheet applied = difference(job, base).apply(lines);
        List<String> traps = new ArrayList<>(applied.traps());
        mishaps(job, base).stream().filter(t -> lines.contains(t.key())).forEach(t -> traps.add(t.words()));
        CaseSheet accepted = applied.withTraps(traps);
        CaseSheet sheet = job.caseSheet() == null ? called(accepted, maker.strip(), reference.strip()) : accepted;
        List<String> faults = CaseCheck.faultsOf(sheet);
        if (!faults.isEmpty()) {
            throw new MendableException(
                    "The case cannot be kept yet: " + String.join("; ", faults.subList(0, Math.min(6, faults.size()))),
                    "Nothing was changed; every step of the job is as it was.",
                    "Leave out the lines that clash, or say maker and reference, and keep it again.");
        }
        workshop.append(number, seq, new CaseBound(sheet.id(), cases.keep(sheet)));
        return sheet;
    }

    private CaseSheet called(CaseSheet accepted, String maker, String reference) {
        String id = Vocabulary.codeFor(maker + " " + reference, Set.of());
        if (cases.latestVersion(id) > 0) {
            throw new MendableException(
                    "There is a case “" + (maker + " " + reference).strip() + "” already",
                    "Nothing was changed.",
                    "Say on the arrival page that the watch is in that case; what was learnt is offered to it then.");
        }
        return accepted.called(id, maker, reference);
    }
}
