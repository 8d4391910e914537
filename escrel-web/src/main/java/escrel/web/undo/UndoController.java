package escrel.web.undo;

import escrel.web.job.Workshop;
import escrel.web.room.Room;
import escrel.web.room.Rooms;
import java.util.regex.Pattern;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Takes the newest act of a room back, or does it again, and shows the room. */
@Controller
class UndoController {
    /** What was chosen there and what was looked at, as an address says it: no other address can be made of it. */
    private static final Pattern AT = Pattern.compile("[\\w:&=-]{0,100}");

    private final Workshop workshop;

    UndoController(Workshop workshop) {
        this.workshop = workshop;
    }

    @PostMapping("/jobs/{number}/undo")
    String undo(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam String room,
            @RequestParam(defaultValue = "false") boolean again,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String at,
            RedirectAttributes flash) {
        Room where = Rooms.require(room);
        flash.addFlashAttribute(
                "said",
                again
                        ? "Done again: " + workshop.doAgain(number, seq, room)
                        : "Taken back: " + workshop.takeBack(number, seq, room));
        // it may have been pressed on a page over all jobs
        return Rooms.ofTheWorkshopCalled(to)
                .map(r -> "redirect:" + r.address() + "?want=" + (AT.matcher(at).matches() ? at : ""))
                .orElse("redirect:/jobs/" + number + "/" + where.path());
    }
}
