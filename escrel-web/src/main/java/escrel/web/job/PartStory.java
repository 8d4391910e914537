package escrel.web.job;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Lore;
import escrel.core.job.StepRegister;
import escrel.core.learning.HoldStated;
import escrel.core.marks.MarkSeen;
import escrel.core.parts.Felt;
import escrel.core.parts.Gauged;
import escrel.core.parts.SuspicionSettled;
import escrel.core.parts.Suspicions;
import escrel.core.service.Eased;
import escrel.core.service.Happened;
import escrel.core.service.Noted;
import escrel.core.service.PartOff;
import escrel.core.service.PhotoAdded;
import escrel.core.service.PowerNoted;
import escrel.core.service.RecordedStep;
import escrel.core.service.StateSet;
import escrel.core.service.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What was said of one part so far: shown where it comes off, and again where it goes on. Source: craft 10. */
public final class PartStory {
    private final OpenJob job;
    private final String part;

    private PartStory(OpenJob job, String part) {
        this.job = job;
        this.part = part;
    }

    /** The story of a part of the job's movement. */
    public static PartStory of(OpenJob job, String part) {
        return new PartStory(job, part);
    }

    /** What was observed, measured, eased or happened on it, first recorded first. */
    public List<String> log() {
        CalibreSheet sheet = job.movement();
        List<String> log = new ArrayList<>();
        for (RecordedStep entry : job.history().counting()) {
            Step step = entry.step();
            boolean here = step instanceof Noted note && part.equals(note.part())
                    || step instanceof Gauged gauged && part.equals(gauged.part())
                    || step instanceof Felt felt && part.equals(felt.part())
                    || step instanceof Eased eased && part.equals(eased.part())
                    || step instanceof StateSet set && part.equals(set.part())
                    || step instanceof MarkSeen mark && part.equals(mark.part())
                    || step instanceof PowerNoted power && part.equals(power.part());
            if (here) {
                log.add(StepRegister.words(step, sheet));
            } else if (step instanceof SuspicionSettled settled && isOfPart(settled)) {
                log.add(StepRegister.words(step, sheet));
            } else if (step instanceof Happened event && part.equals(event.part())) {
                log.add(StepRegister.words(step, sheet) + (event.words().isEmpty() ? "" : ": " + event.words()));
            }
        }
        return List.copyOf(log);
    }

    /** What was said as it came off last, and what was stated then of what held it; for the way up. */
    public List<String> onTheWayDown() {
        List<String> said = new ArrayList<>();
        off().ifPresent(off -> {
            if (!off.note().isEmpty()) {
                said.add(off.note());
            }
            if (!off.screws().words().isEmpty()) {
                said.add("screws: " + off.screws().words());
            }
            if (!off.inSpiteOf().isEmpty()) {
                said.add("came off out of turn: " + off.inSpiteOf());
            }
        });
        job.history()
                .all(HoldStated.class)
                .filter(h -> part.equals(h.part()))
                .forEach(h -> said.add("lies under " + name(h.by())));
        said.addAll(log());
        return List.copyOf(said);
    }

    /** What is suspected of it and not looked at yet. */
    public List<String> suspected() {
        return job.job().suspicions().openOn(part).stream()
                .map(Suspicions.Suspicion::words)
                .toList();
    }

    /** What is known to wear on it in this calibre. */
    public List<String> weakPoints() {
        return job.movement().lore().weakPoints().stream()
                .filter(w -> part.equals(w.part()))
                .map(Lore.WeakPoint::words)
                .toList();
    }

    /** The last photo of it, if there is one. */
    public Optional<Integer> photo() {
        return job.history()
                .all(PhotoAdded.class)
                .filter(p -> part.equals(p.part()))
                .map(PhotoAdded::photo)
                .reduce((a, b) -> b);
    }

    private boolean isOfPart(SuspicionSettled settled) {
        return job.job().suspicions().all().stream()
                .anyMatch(s -> s.at() == settled.suspicion() && part.equals(s.part()));
    }

    private Optional<PartOff> off() {
        return job.teardown().stepOf(part);
    }

    private String name(String code) {
        return job.movement().part(code).map(p -> p.name()).orElse(code);
    }
}
