package escrel.web.phone;

import escrel.core.calibre.Part;
import escrel.core.service.PhotoAdded;
import escrel.web.job.AtHand;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.photos.Photos;
import java.io.InputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps a picture that comes from another hand, with the part that is at hand on the bench. */
@Component
class Arriving {
    private final Workshop workshop;
    private final Photos photos;
    private final AtHand atHand;

    Arriving(Workshop workshop, Photos photos, AtHand atHand) {
        this.workshop = workshop;
        this.photos = photos;
        this.atHand = atHand;
    }

    /** The part at hand in a job, if its bench shows one the job has. */
    @Nullable
    Part part(OpenJob job) {
        return atHand.of(job.number()).flatMap(job.movement()::part).orElse(null);
    }

    /** Keeps it and returns its number. */
    @Transactional
    public int keep(int number, InputStream picture, String caption) {
        Part part = part(workshop.load(number));
        int photo = photos.keep(number, picture);
        workshop.add(number, new PhotoAdded(photo, part == null ? null : part.code(), caption));
        return photo;
    }
}
