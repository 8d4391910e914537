package escrel.web.climb;

import escrel.core.MendableException;
import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.TestMade;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.lubrication.OilSkipped;
import escrel.core.lubrication.Oiled;
import escrel.core.service.Step;
import escrel.core.teardown.PartOn;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the climb records, and when it wants a reason first. */
@Component
class ClimbActions {
    /** What came of pressing the key. */
    enum Outcome {
        RECORDED,
        /** It would close over something, and no reason was given. */
        REASON_WANTED
    }

    private final Workshop workshop;

    ClimbActions(Workshop workshop) {
        this.workshop = workshop;
    }

    /** Does a line: part on, point oiled, test passed. */
    @Transactional
    public Outcome done(int number, ClimbForm form) {
        OpenJob job = open(number, form);
        AssemblyPlan plan = AssemblyPlan.from(job.teardown(), job.history());
        if (!plan.brokenBy(form.code()).isEmpty() && form.reason().isEmpty()) {
            return Outcome.REASON_WANTED;
        }
        workshop.append(number, form.seq(), step(job, form));
        return Outcome.RECORDED;
    }

    private OpenJob open(int number, ClimbForm form) {
        OpenJob job = workshop.load(number);
        job.requireSequence(form.seq());
        if (!AssemblyPlan.from(job.teardown(), job.history()).isOpen(form.code())) {
            throw new MendableException(
                    "“" + form.code() + "” is not open on the way up",
                    "What was recorded of it stays.",
                    "Reload the page and choose a line from the list.");
        }
        return job;
    }

    private static Step step(OpenJob job, ClimbForm form) {
        return switch (form.kind()) {
            case PART -> new PartOn(form.code(), form.text(), form.reason());
            case OIL -> new Oiled(form.code(), lubricant(job, form.code()), form.text());
            case TEST -> new TestMade(form.code(), TestMade.Outcome.PASSED, form.text());
        };
    }

    private static LubricantClass lubricant(OpenJob job, String point) {
        return job.requireSheet().oilPoints().stream()
                .filter(p -> p.code().equals(point))
                .map(OilPoint::lubricant)
                .findFirst()
                .orElseThrow();
    }

    /** Leaves a point or test out on purpose, with a reason; a part is left out on the inspection page. */
    @Transactional
    public void passOver(int number, ClimbForm form) {
        open(number, form);
        if (form.text().isEmpty()) {
            throw new MendableException(
                    "Passing something over needs a reason",
                    "Nothing was recorded.",
                    "Write the reason into the note (key +), then press the key again.");
        }
        Step step = switch (form.kind()) {
            case OIL -> new OilSkipped(form.code(), form.text());
            case TEST -> new TestMade(form.code(), TestMade.Outcome.PASSED_OVER, form.text());
            case PART ->
                throw new MendableException(
                        "A part is not passed over on the climb",
                        "Nothing was recorded.",
                        "Leave its home empty on the inspection page, with the reason.");
        };
        workshop.append(number, form.seq(), step);
    }

    /** Records a test that failed: it stays open. */
    @Transactional
    public void failed(int number, ClimbForm form) {
        open(number, form);
        workshop.append(number, form.seq(), new TestMade(form.code(), TestMade.Outcome.FAILED, form.text()));
    }
}
