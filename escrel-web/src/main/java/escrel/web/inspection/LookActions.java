package escrel.web.inspection;

import escrel.core.MendableException;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.cleaning.Looks;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Judged;
import escrel.core.service.Step;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Records what the walk from part to part saw. */
@Component
class LookActions {
    private final Workshop workshop;

    LookActions(Workshop workshop) {
        this.workshop = workshop;
    }

    /**
     * Records what a key says of a part.
     *
     * @return the part to look at next; the same one where the finding is at a place of it
     */
    @Transactional
    public @Nullable String judge(int number, LookForm form) {
        OpenJob job = workshop.load(number);
        boolean plate = form.part().equals(Board.PLATE)
                && job.movement().part(Board.PLATE).isEmpty();
        Part part = job.movement()
                .part(form.part())
                .or(() -> plate ? Optional.of(Board.plate(Side.TRAIN)) : Optional.empty())
                .orElseThrow(() -> refuse("The movement has no such part", "Choose it on the board."));
        Grade grade = form.grade();
        if (grade == null) {
            throw refuse("How it looks is not said", "Press the key of a grade.");
        }
        Place place = placeOf(form);
        if (plate && place == null) {
            throw refuse("Where on the main plate is not said", "Choose the place first.");
        }
        if (LookForm.wantsDefect(grade, place) && form.defect() == null) {
            throw refuse("What was found is not said", "Choose what it is.");
        }
        workshop.append(number, form.seq(), step(plate ? null : part.code(), grade, place, form.defect()));
        return place == null ? nextAfter(workshop.load(number), part.code()) : part.code();
    }

    private static @Nullable Place placeOf(LookForm form) {
        try {
            return form.at();
        } catch (IllegalArgumentException e) {
            throw refuse("There is no such place", "Choose it on the plan or from the list.");
        }
    }

    private static Step step(@Nullable String part, Grade grade, @Nullable Place place, @Nullable Defect defect) {
        boolean finding = part == null || place != null || grade.needsDecision();
        if (!finding) {
            return new Judged(List.of(part), grade);
        }
        if (place != null && grade.compareTo(Grade.WORN) < 0) {
            throw refuse("A place that is good is no finding", "Judge the part as a whole.");
        }
        Defect what = defect != null ? defect : grade == Grade.MISSING ? Defect.ABSENT : Defect.DIRTY;
        // where it comes from is said on the page of decisions, or corrected in the log: nobody said it here
        return new FindingRaised(part, grade, what, Origin.UNKNOWN, "", place);
    }

    /** Says of everything that is left in the present look that it is good; how many there were. */
    @Transactional
    public int restIsGood(int number, int seq) {
        Looks looks = workshop.load(number).job().looks();
        List<String> rest = looks.owed().stream().map(Part::code).toList();
        if (rest.isEmpty()) {
            throw refuse("Every part is judged already", "Clean parts come back here for their second look.");
        }
        workshop.append(number, seq, new Judged(rest, Grade.GOOD));
        return rest.size();
    }

    /** The next part of the present look behind this one, round and round; nothing when none is left. */
    static @Nullable String nextAfter(OpenJob job, String part) {
        List<String> owed = job.job().looks().owed().stream().map(Part::code).toList();
        List<String> all = Board.order(job).stream().map(Part::code).toList();
        int at = all.indexOf(part);
        for (int i = 1; i <= all.size(); i++) {
            String code = all.get((at + i) % all.size());
            if (owed.contains(code)) {
                return code;
            }
        }
        return null;
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded; the findings are as they were.", todo);
    }
}
