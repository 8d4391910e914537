package escrel.web.settings;

import escrel.core.MendableException;
import escrel.core.parts.Felt;
import escrel.core.parts.PlayLimits;
import escrel.core.parts.PlayLimits.Limit;
import escrel.web.storage.WorkshopLogs;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Between what end-shake and side-shake should lie here, by size of the movement. */
@Controller
class PlayController {
    private final WorkshopLogs log;

    PlayController(WorkshopLogs log) {
        this.log = log;
    }

    /** The lines of a size. */
    record OfSize(PlayLimits.Size size, List<Limit> lines) {}

    @GetMapping("/settings/play")
    String play(Model model) {
        PlayLimits limits = log.load().play();
        model.addAttribute(
                "sizes",
                Arrays.stream(PlayLimits.Size.values())
                        .map(s -> new OfSize(
                                s,
                                limits.limits().stream()
                                        .filter(l -> l.size() == s)
                                        .toList()))
                        .toList());
        model.addAttribute("ours", limits.equals(PlayLimits.USUAL));
        return "settings/play";
    }

    /** The whole table anew, in the order in which it stands on the page. */
    @PostMapping("/settings/play")
    String keep(
            @RequestParam List<PlayLimits.Size> size,
            @RequestParam List<PlayLimits.Whose> whose,
            @RequestParam List<Felt.Play> what,
            @RequestParam List<String> low,
            @RequestParam List<String> high,
            RedirectAttributes flash) {
        int lines = size.size();
        if (whose.size() != lines || what.size() != lines || low.size() != lines || high.size() != lines) {
            throw refuse("The table is not whole");
        }
        try {
            List<Limit> all = new ArrayList<>();
            for (int i = 0; i < lines; i++) {
                all.add(new Limit(
                        size.get(i), whose.get(i), what.get(i), millimetres(low.get(i)), millimetres(high.get(i))));
            }
            log.append(new PlayLimits(all));
        } catch (NumberFormatException e) {
            throw refuse("A play is a number of millimetres");
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()));
        }
        flash.addFlashAttribute("said", "the limits are kept");
        return "redirect:/settings/play";
    }

    private static double millimetres(String typed) {
        return Double.parseDouble(typed.strip().replace(',', '.'));
    }

    private static MendableException refuse(String what) {
        return new MendableException(what, "The limits are as they were.", "Correct the line and keep them again.");
    }
}
