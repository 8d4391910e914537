package escrel.web.clocks;

import escrel.core.MendableException;
import escrel.core.clock.ClockEnded;
import escrel.core.clock.ClockStarted;
import escrel.core.clock.Clocks;
import escrel.web.list.ListMapper;
import escrel.web.list.Listed;
import escrel.web.storage.WorkshopLogs;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The clocks of the bench side by side. */
@Controller
class ClocksController {
    private static final int MOST = 30;

    /** As many jobs as are offered meanwhile. */
    private static final int MEANWHILE = 8;

    /** What is often waited for at a bench; the times are ours and may be typed otherwise. */
    private record Usual(String words, int minutes) {}

    private static final List<Usual> USUAL = List.of(
            new Usual("epilame dries", 10),
            new Usual("rinsed parts dry in the air", 15),
            new Usual("adhesive sets", 60),
            new Usual("case dries", 30));

    private final WorkshopLogs log;
    private final ClockStrip strip;
    private final ListMapper jobs;
    private final Clock clock;

    ClocksController(WorkshopLogs log, ClockStrip strip, ListMapper jobs, Clock clock) {
        this.jobs = jobs;
        this.clock = clock;
        this.log = log;
        this.strip = strip;
    }

    @GetMapping("/clocks")
    String clocks(Model model) {
        List<ListMapper.Line> house = jobs.inTheHouse();
        Instant now = clock.instant();
        List<Clocks.Running> running = log.load().running().running();
        Set<Integer> busy = running.stream().map(r -> r.clock().job()).collect(Collectors.toSet());
        model.addAttribute("clocks", strip.all());
        model.addAttribute("hours", Hours.of(running, house, now));
        model.addAttribute(
                "meanwhile",
                house.stream()
                        .filter(l -> l.waits().isEmpty() && !busy.contains(l.number()))
                        .filter(l -> l.dueAt() == null || !l.dueAt().toInstant().isAfter(now))
                        .limit(MEANWHILE)
                        .map(l -> Listed.of(l, now))
                        .toList());
        model.addAttribute(
                "usual",
                USUAL.stream()
                        .map(u -> List.of(u.words(), String.valueOf(u.minutes())))
                        .toList());
        return "clocks/clocks";
    }

    @PostMapping("/clocks")
    String set(
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String minutes,
            RedirectAttributes flash) {
        if (log.load().running().running().size() >= MOST) {
            throw refuse(MOST + " clocks run already", "See to one of them first.");
        }
        try {
            int seconds =
                    (int) Math.round(60 * Double.parseDouble(minutes.strip().replace(',', '.')));
            log.append(ClockStarted.of(words, null, seconds));
        } catch (NumberFormatException e) {
            throw refuse("“" + minutes + "” is no number of minutes", "Say how many minutes it runs.");
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()), "Correct it and set the clock again.");
        }
        flash.addFlashAttribute("said", "the clock runs");
        return "redirect:/clocks";
    }

    /** Seen to when it has run out, or stopped before. Ended twice, it stays as it was. */
    @PostMapping("/clocks/{id}/ended")
    String ended(@PathVariable String id, @RequestParam boolean done) {
        if (log.load().running().byId(id).isPresent()) {
            log.append(new ClockEnded(id, done));
        }
        return "redirect:/clocks";
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "No clock was set.", todo);
    }
}
