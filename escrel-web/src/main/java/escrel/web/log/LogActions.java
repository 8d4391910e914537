package escrel.web.log;

import escrel.core.MendableException;
import escrel.core.job.Correction;
import escrel.core.job.StepFields;
import escrel.core.job.StepRegister;
import escrel.core.parts.Decided;
import escrel.core.service.Corrected;
import escrel.core.service.PartOff;
import escrel.core.service.RecordedStep;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Corrects a step: the correction is recorded beside it. */
@Component
class LogActions {
    private final Workshop workshop;

    LogActions(Workshop workshop) {
        this.workshop = workshop;
    }

    /** The step as it counts now. */
    Step counting(OpenJob job, int sequence) {
        return job.history().counting().stream()
                .filter(e -> e.sequence() == sequence)
                .map(RecordedStep::step)
                .filter(CorrectForm::isCorrectable)
                .findFirst()
                .orElseThrow(() -> refuse(
                        "Step " + sequence + " cannot be corrected here",
                        "Take it back in its room, or say it anew there."));
    }

    /** Records the correction; what it says in words. */
    @Transactional
    public String correct(int number, int seq, int sequence, CorrectForm form) {
        OpenJob job = workshop.load(number);
        job.requireSequence(seq);
        Step was = counting(job, sequence);
        Step is = said(form, was);
        if (is.equals(was)) {
            throw refuse("Nothing was said otherwise", "Change what was wrong, then send it again.");
        }
        String unknown = StepFields.unknownTo(job.movement(), is);
        if (unknown != null && !unknown.equals(StepFields.unknownTo(job.movement(), was))) {
            throw refuse("The movement has no “" + unknown + "”", "Choose it from the list.");
        }
        if (is instanceof Decided decided && decided.lacking() != null) {
            throw refuse(decided.lacking(), "Say it, then send it again.");
        }
        if (is instanceof PartOff off) {
            requireScrews(job, off);
        }
        Corrected correction = new Corrected(sequence, is);
        Optional<RecordedStep> impossible = Correction.firstImpossible(job.job(), correction);
        if (impossible.isPresent()) {
            throw refuse(
                    "Step %d (%s) would then be impossible"
                            .formatted(
                                    impossible.get().sequence(),
                                    StepRegister.words(impossible.get().step(), job.movement())),
                    "Take that step back or correct it first, then correct this one; or put it right with a step of today.");
        }
        workshop.append(number, seq, correction);
        return "Corrected: " + LogView.said(is, job.movement());
    }

    private static Step said(CorrectForm form, Step was) {
        try {
            return form.on(was);
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()), "Correct the number and send it again.");
        }
    }

    private static void requireScrews(OpenJob job, PartOff off) {
        int holes = job.movement().screwsOf(off.part()).size();
        for (ScrewsFound.State how : ScrewsFound.State.values()) {
            if (off.screws().count(how) > holes) {
                throw refuse(
                        "%s has %d screws by what is known"
                                .formatted(
                                        job.movement().requirePart(off.part()).name(), holes),
                        "Say fewer.");
            }
        }
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was changed; the step is as it was.", todo);
    }
}
