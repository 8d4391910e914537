package escrel.web.strip;

import escrel.core.MendableException;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.service.PhotoAdded;
import escrel.core.service.Step;
import escrel.core.teardown.Caution;
import escrel.core.teardown.StateSet;
import escrel.core.teardown.TeardownOrder;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.photos.Photos;
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
        /** A rule speaks against it and no reason was given. */
        REASON_WANTED
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
        TeardownOrder order = TeardownOrder.from(job.teardown(), job.schools());
        if (!order.brokenBy(form.part()).isEmpty() && form.step().inSpiteOf().isEmpty()) {
            return Outcome.REASON_WANTED;
        }
        Part part = job.requireSheet().requirePart(form.part());
        boolean asks = Caution.before(job.requireSheet(), part, job.schools()).stream()
                .anyMatch(c -> c.kind() == Caution.Kind.ASKS);
        if (asks && !form.answered()) {
            return Outcome.ASKED;
        }
        List<Step> steps = part.stateBefore().isEmpty()
                ? List.of(form.step())
                : List.of(new StateSet(part.code(), part.stateBefore()), form.step());
        workshop.append(number, form.seq(), steps);
        return Outcome.RECORDED;
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
    public int photo(int number, int seq, @Nullable String part, Side side, byte[] picture) {
        int photo = photos.keep(number, picture);
        workshop.append(number, seq, new PhotoAdded(photo, part, "", side));
        return photo;
    }
}
