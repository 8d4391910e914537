package escrel.web.arrival;

import escrel.core.service.Arrival;
import escrel.core.service.Stance;
import escrel.core.service.WorkAgreed;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The arrival form.
 *
 * @param work what is to be done; only when a job is opened
 * @param identity of the job to be opened, made with the form
 * @param opens how the case opens, the name of one of {@code Opens}; only when a job is opened
 * @param crown whether it is screwed down: YES, NO or NOT_SAID; only when a job is opened
 */
record ArrivalForm(
        @NotBlank @Size(max = 200) String watch,
        @NotBlank @Size(max = 200) String owner,
        @Size(max = 400) String contact,
        @Size(max = 200) String maker,
        @Size(max = 200) String reference,
        @Size(max = 4000) String complaint,
        @NotNull Stance stance,
        @Size(max = 4000) String condition,
        @Size(max = 4000) String marks,
        WorkAgreed.@Nullable Work work,
        @Size(max = 36) @Nullable String identity,
        @Size(max = 20) @Nullable String opens,
        @Size(max = 20) @Nullable String crown) {
    /** A form in which only the workshop's habit is filled in. */
    static ArrivalForm empty(Stance usual) {
        return new ArrivalForm(
                "", "", "", "", "", "", usual, "", "", WorkAgreed.Work.SERVICE, newIdentity(), null, null);
    }

    static ArrivalForm of(Arrival a) {
        return new ArrivalForm(
                a.watch(),
                a.owner(),
                a.contact(),
                a.maker(),
                a.reference(),
                a.complaint(),
                a.stance(),
                a.condition(),
                a.marks(),
                null,
                null,
                null,
                null);
    }

    private static String newIdentity() {
        return UUID.randomUUID().toString();
    }

    /** The identity the job gets; a new one where the form brought none that is one. */
    String jobIdentity() {
        try {
            return identity == null ? newIdentity() : UUID.fromString(identity).toString();
        } catch (IllegalArgumentException e) {
            return newIdentity();
        }
    }

    /** What is to be done; a full service where nothing else was said. */
    WorkAgreed agreed() {
        return WorkAgreed.today(work == null ? WorkAgreed.Work.SERVICE : work, "");
    }

    Arrival arrival() {
        return new Arrival(
                watch.strip(),
                owner.strip(),
                text(contact),
                text(maker),
                text(reference),
                text(complaint),
                stance,
                text(condition),
                text(marks));
    }

    private static String text(String value) {
        return value == null ? "" : value.strip();
    }
}
