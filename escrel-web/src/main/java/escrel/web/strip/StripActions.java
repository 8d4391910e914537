package escrel.web.strip;

import escrel.core.MendableException;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.order.Constraint;
import escrel.core.service.PhotoAdded;
import escrel.core.service.PowerNoted;
import escrel.core.service.SchoolSetAside;
import escrel.core.service.StateSet;
import escrel.core.service.Step;
import escrel.core.teardown.Caution;
import escrel.core.teardown.TeardownState;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.photos.Photos;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the strip records, and when it asks first instead. */
@Component
class StripActions {
    /** What came of pressing the key. */
    enum Outcome {
        RECORDED,
        /** A question stands before the step. */
        ASKED,
        /** A habit speaks against it: going on is the same key again. */
        REMARKED,
        /** A hold or safety rule speaks against it and no reason was given. */
        REASON_WANTED,
        /** The movement is closed: why it is opened again comes first. */
        CLOSED;

        /** Whether the same key again goes on. */
        boolean waitsForTheKey() {
            return this == ASKED || this == REMARKED;
        }
    }

    private final Workshop workshop;
    private final Photos photos;

    StripActions(Workshop workshop, Photos photos) {
        this.workshop = workshop;
        this.photos = photos;
    }

    /** Takes a part off, unless something must be asked or said first. */
    @Transactional
    public Outcome takeOff(int number, StripForm form) {
        OpenJob job = workshop.load(number);
        job.requireSequence(form.seq());
        requireThereAndOn(job, form.part());
        if (isClosed(job)) {
            return Outcome.CLOSED;
        }
        ScrewsSaid.requireHoles(form.screwsFound(), job.job().screws().of(form.part()));
        List<Constraint> broken = job.job().wayDown().brokenBy(form.part());
        if (broken.stream().anyMatch(Constraint::wantsReason)
                && form.step().inSpiteOf().isEmpty()) {
            return Outcome.REASON_WANTED;
        }
        Part part = job.requireSheet().requirePart(form.part());
        boolean habit = broken.stream().anyMatch(Constraint::isSchool)
                && form.step().inSpiteOf().isEmpty();
        boolean asks = Caution.before(job.requireSheet(), part, job.schools()).stream()
                .anyMatch(c -> c.kind() == Caution.Kind.ASKS);
        if ((habit || asks) && !form.isAnswered()) {
            return habit ? Outcome.REMARKED : Outcome.ASKED;
        }
        workshop.append(number, form.seq(), steps(job, part, form, broken));
        return Outcome.RECORDED;
    }

    private static List<Step> steps(OpenJob job, Part part, StripForm form, List<Constraint> broken) {
        List<Step> steps = new ArrayList<>();
        if (form.isForThisJob()) {
            Constraint.schools(broken).forEach(school -> steps.add(new SchoolSetAside(school)));
        }
        if (form.hasLetGo()) {
            steps.add(new PowerNoted(PowerNoted.What.LET_GO_NOW, part.code(), ""));
        }
        if (!part.stateBefore().isEmpty() && !job.teardown().isStateSet(part.code())) {
            steps.add(new StateSet(part.code(), part.stateBefore()));
        }
        steps.add(form.step());
        return steps;
    }

    /** Whether the movement was opened in this round and is whole again: another part off is another round. */
    static boolean isClosed(OpenJob job) {
        TeardownState state = job.job().teardown();
        boolean lifted = state.order().stream()
                .anyMatch(p -> !state.sheet().requirePart(p).isPowerDown());
        return lifted && !state.isAnyOff();
    }

    private static void requireThereAndOn(OpenJob job, String part) {
        if (job.requireSheet().part(part).isEmpty()) {
            throw new MendableException(
                    "The sheet has no part “" + part + "”",
                    "Nothing was recorded.",
                    "Reload the page and choose a part from the ladder.");
        }
        if (job.teardown().isOff(part)) {
            throw new MendableException(
                    job.requireSheet().requirePart(part).name() + " is off already",
                    "It was recorded once and stays so.",
                    "Choose a part that is still on.");
        }
    }

    /** Keeps a photo of a part, or of the side that lies up. */
    @Transactional
    public int photo(int number, @Nullable String part, Side side, InputStream picture) {
        int photo = photos.keep(number, picture);
        workshop.add(number, new PhotoAdded(photo, part, "", side));
        return photo;
    }
}
