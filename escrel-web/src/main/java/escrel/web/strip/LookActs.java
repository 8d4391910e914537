package escrel.web.strip;

import escrel.core.MendableException;
import escrel.core.calibre.Part;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.marks.MarkSeen;
import escrel.core.parts.Felt;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Suspected;
import escrel.core.parts.SuspicionSettled;
import escrel.core.service.Step;
import escrel.web.job.OpenJob;
import org.jspecify.annotations.Nullable;

/** What the panels of looking record. */
final class LookActs {
    private LookActs() {}

    static Step step(OpenJob job, Part part, StripActs.Form form) {
        return switch (form.act()) {
            case FOUND -> found(job, part, form);
            case FELT -> {
                String[] value = form.value().split(":");
                yield new Felt(part.code(), Felt.Play.valueOf(value[0]), Felt.Feel.valueOf(value[1]));
            }
            case SUSPECTED -> new Suspected(part.code(), form.words());
            default -> settled(job, form);
        };
    }

    /** A mark that was read on a part. */
    static Step mark(Part part, StripActs.Form form) {
        MarkSeen.Kind kind = MarkSeen.Kind.valueOf(form.value());
        try {
            return new MarkSeen(MarkSeen.On.of(part), part.code(), kind, form.words());
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()), "Type it otherwise, then send it again.");
        }
    }

    private static Step settled(OpenJob job, StripActs.Form form) {
        int at = Integer.parseInt(form.value());
        if (job.job().suspicions().open(at).isEmpty()) {
            throw refuse("There is no open suspicion of step " + at, "Reload the page and choose one.");
        }
        boolean so = form.act() == StripAct.CONFIRMED;
        return new SuspicionSettled(
                at, so ? SuspicionSettled.Outcome.CONFIRMED : SuspicionSettled.Outcome.CLEARED, form.words());
    }

    /** Place, grade, defect: what the keys said, in that order. */
    private static Step found(OpenJob job, Part part, StripActs.Form form) {
        String[] value = form.value().split(":");
        Grade grade = Grade.valueOf(value[1]);
        Defect defect = Defect.valueOf(value[2]);
        if (grade == Grade.MISSING && job.teardown().isOff(part.code())) {
            throw refuse(part.name() + " came off by the record", "Say that it is lost, or take the step back.");
        }
        Place place = place(value[0]);
        String words = grade == Grade.MISSING
                ? "missing on arrival"
                : grade == Grade.NOT_JUDGED
                        ? "cannot tell until it is clean"
                        : defect.name().toLowerCase().replace('_', ' ');
        return new FindingRaised(part.code(), grade, defect, Origin.UNKNOWN, words, place);
    }

    private static @Nullable Place place(String value) {
        if (value.isEmpty()) {
            return null;
        }
        String[] words = value.split("/", 2);
        return new Place(Place.Kind.valueOf(words[0]), words.length > 1 ? words[1] : "");
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded.", todo);
    }
}
