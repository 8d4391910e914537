package escrel.web.arrival;

import escrel.core.MendableException;
import escrel.core.marks.MarkSeen;
import escrel.web.job.Workshop;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Keeps the marks that are read on a watch. */
@Controller
class MarksController {
    private final Workshop workshop;

    MarksController(Workshop workshop) {
        this.workshop = workshop;
    }

    /**
     * Keeps a mark.
     *
     * @param on what it stands on; of a part of the movement its code goes before
     */
    @PostMapping("/jobs/{number}/marks")
    String mark(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam MarkSeen.On on,
            @RequestParam(required = false) @Nullable String part,
            @RequestParam MarkSeen.Kind kind,
            @RequestParam(defaultValue = "") String text) {
        MarkSeen.On stands = on;
        String code = part == null || part.isEmpty() ? null : part;
        if (code != null) {
            stands = MarkSeen.On.of(workshop.load(number)
                    .movement()
                    .part(code)
                    .orElseThrow(() -> refuse("The movement has no such part", "Choose it from the list.")));
        }
        MarkSeen mark;
        try {
            mark = new MarkSeen(stands, code, kind, text);
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()), "Type it otherwise, then send it again.");
        }
        workshop.append(number, seq, mark);
        return "redirect:/jobs/" + number + "/arrival#marks";
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded.", todo);
    }
}
