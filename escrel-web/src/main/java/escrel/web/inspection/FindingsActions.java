package escrel.web.inspection;

import escrel.core.MendableException;
import escrel.core.parts.CauseSaid;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.Felt;
import escrel.core.parts.Finding;
import escrel.core.parts.FindingWorked;
import escrel.core.parts.Findings;
import escrel.core.parts.Suspected;
import escrel.core.parts.SuspicionSettled;
import escrel.core.service.LeftOut;
import escrel.core.service.PartOn;
import escrel.core.service.Step;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the inspection records, and what it refuses. */
@Component
class FindingsActions {
    private final Workshop workshop;

    FindingsActions(Workshop workshop) {
        this.workshop = workshop;
    }

    /** Takes a decision about a finding. */
    @Transactional
    public void decide(int number, int seq, String key, Decision decision, String words, String source) {
        requireFinding(number, key);
        Decided decided = new Decided(key, decision, words, source);
        String lacking = decided.lacking();
        if (lacking != null) {
            throw refuse(lacking, "Say it, then send it again.");
        }
        workshop.append(number, seq, decided);
    }

    /** Says what a finding came of; nothing for an empty cause. */
    @Transactional
    public void cause(int number, int seq, String key, String cause) {
        Finding finding = requireFinding(number, key);
        if (!cause.isEmpty()) {
            Finding other = requireFinding(number, cause);
            Findings findings = workshop.load(number).job().findings();
            if (other.key().equals(key) || findings.causesOf(other).contains(finding)) {
                throw refuse(
                        "That would make a ring: a finding cannot come of itself",
                        "Choose another, or take the earlier statement back.");
            }
        }
        workshop.append(number, seq, new CauseSaid(key, cause));
    }

    /** Says that what was decided was carried out, or failed. */
    @Transactional
    public void worked(int number, int seq, FindingWorked worked) {
        if (requireFinding(number, worked.finding()).decided() == null) {
            throw refuse("Nothing is decided about this finding yet", "Decide first, then say how it went.");
        }
        if (worked.outcome() == FindingWorked.Outcome.FAILED && worked.words().isBlank()) {
            throw refuse("A failed attempt needs some words", "Say what went wrong, then send it again.");
        }
        workshop.append(number, seq, worked);
    }

    /** Says that another copy is at hand. */
    @Transactional
    public void copy(int number, int seq, CopyAtHand copy) {
        OpenJob job = workshop.load(number);
        requirePart(job, copy.part());
        if (copy.source().isBlank()) {
            throw refuse("Where it comes from is not said", "Name the supplier, the donor or the material.");
        }
        List<Step> act = new ArrayList<>(List.of(copy));
        // what an interim part waited for is here: from now on it is to be fitted
        job.job().findings().on(copy.part()).stream()
                .filter(f -> f.isInterim() && !f.isWithinPart())
                .forEach(f -> act.add(
                        new Decided(f.key(), replacing(copy.origin()), "the other one is here", copy.source())));
        workshop.append(number, seq, act);
    }

    private static Decision replacing(CopyAtHand.Origin origin) {
        return switch (origin) {
            case DONOR -> Decision.REPLACE_DONOR;
            case MADE -> Decision.MAKE;
            default -> Decision.REPLACE_NEW;
        };
    }

    /** Opens a suspicion, on a part or on the watch. */
    @Transactional
    public void suspect(int number, int seq, String part, String words) {
        if (!part.isEmpty()) {
            requirePart(workshop.load(number), part);
        }
        if (words.isBlank()) {
            throw refuse("What is suspected is not said", "Say it in a few words.");
        }
        workshop.append(number, seq, new Suspected(part.isEmpty() ? null : part, words));
    }

    /** Says how a suspicion ended, with what was seen. */
    @Transactional
    public void settle(int number, int seq, int at, SuspicionSettled.Outcome outcome, String words) {
        if (workshop.load(number).job().suspicions().open(at).isEmpty()) {
            throw refuse("There is no open suspicion of step " + at, "Reload the page and choose one from the list.");
        }
        if (words.isBlank()) {
            throw refuse("What was seen is not said", "Say it in a few words.");
        }
        workshop.append(number, seq, new SuspicionSettled(at, outcome, words));
    }

    /** Keeps a play judged by feel. */
    @Transactional
    public void felt(int number, int seq, Felt felt) {
        requirePart(workshop.load(number), felt.part());
        workshop.append(number, seq, felt);
    }

    /** Leaves a home empty on purpose. */
    @Transactional
    public void leaveOut(int number, int seq, String part, String reason) {
        OpenJob job = workshop.load(number);
        requirePart(job, part);
        if (reason.isBlank()) {
            throw refuse("Leaving a home empty needs a reason", "Say why, then send it again.");
        }
        if (!job.teardown().isOff(part)) {
            throw refuse(
                    job.movement().requirePart(part).name() + " is fitted by the record",
                    "Take it off first, or raise that it was missing on arrival.");
        }
        workshop.append(number, seq, new LeftOut(part, reason));
    }

    /** Fits what was left out after all. */
    @Transactional
    public void fitAfterAll(int number, int seq, String part) {
        OpenJob job = workshop.load(number);
        requirePart(job, part);
        if (!job.teardown().isLeftOut(part)) {
            throw refuse("Its home is not left empty", "Fit it on the climb.");
        }
        workshop.append(number, seq, PartOn.plain(part));
    }

    private Finding requireFinding(int number, String key) {
        return workshop.load(number)
                .job()
                .findings()
                .byKey(key)
                .orElseThrow(() -> refuse(
                        "There is no finding " + key + " in this job", "Reload the page and choose it from the list."));
    }

    private static void requirePart(OpenJob job, String part) {
        if (job.requireSheet().part(part).isEmpty()) {
            throw refuse("The sheet has no such part", "Choose it from the list.");
        }
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded; the findings are as they were.", todo);
    }
}
