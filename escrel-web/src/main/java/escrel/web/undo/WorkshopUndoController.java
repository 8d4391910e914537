package escrel.web.undo;

import escrel.core.MendableException;
import escrel.web.room.WorkshopActs;
import escrel.web.storage.WorkshopLogs;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Takes the newest act of the workshop on a page back, and shows the page. */
@Controller
class WorkshopUndoController {
    private final WorkshopLogs log;
    private final WorkshopActs acts;

    WorkshopUndoController(WorkshopLogs log, WorkshopActs acts) {
        this.log = log;
        this.acts = acts;
    }

    @PostMapping("/workshop/back")
    String back(
            @RequestParam WorkshopActs.Page page,
            @RequestParam int act,
            @RequestParam(required = false) @Nullable Integer job,
            RedirectAttributes flash) {
        if (!acts.isNewest(page, act)) {
            throw new MendableException(
                    "Something else was said since", "Nothing was taken back.", "Look at the page as it is now.");
        }
        flash.addFlashAttribute("said", "Taken back: " + log.takeBack(act));
        return "redirect:" + page.address(job);
    }
}
