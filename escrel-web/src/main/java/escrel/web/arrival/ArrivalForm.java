package escrel.web.arrival;

import escrel.core.service.Arrival;
import escrel.core.service.Stance;
import escrel.core.service.WorkAgreed;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/**
 * The arrival form.
 *
 * @param work what is to be done; only when a job is opened
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
        WorkAgreed.@Nullable Work work) {
    /** A form in which only the workshop's habit is filled in. */
    static ArrivalForm empty(Stance usual) {
        return new ArrivalForm("", "", "", "", "", "", usual, "", "", WorkAgreed.Work.SERVICE);
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
                null);
    }

    /** What is to be done; a full service where nothing else was said. */
    WorkAgreed agreed() {
        return new WorkAgreed(work == null ? WorkAgreed.Work.SERVICE : work, "");
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
