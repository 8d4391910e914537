package escrel.web.arrival;

import escrel.core.calibre.WatchClass;
import escrel.core.service.StepKind;
import escrel.core.triage.Check;
import escrel.core.triage.Checked;
import escrel.core.triage.ResetTried;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The first checks, one key each, and the triage they add up to. */
@Controller
class ChecksController {
    private final Workshop workshop;

    ChecksController(Workshop workshop) {
        this.workshop = workshop;
    }

    /**
     * A check as shown.
     *
     * @param outcome the latest; nothing while it was not tried
     */
    record Line(Check check, @Nullable Checked outcome) {}

    @GetMapping("/jobs/{number}/checks")
    String checks(@PathVariable int number, @RequestParam(required = false) @Nullable Check check, Model model) {
        OpenJob job = workshop.load(number);
        var triage = job.job().triage();
        List<Line> lines = asked(job).stream()
                .map(c -> new Line(c, triage.checks().get(c)))
                .toList();
        Check next = lines.stream()
                .filter(l -> l.outcome() == null)
                .map(Line::check)
                .findFirst()
                .orElse(null);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.ARRIVAL));
        model.addAttribute("lines", lines);
        model.addAttribute("now", check != null && asked(job).contains(check) ? check : next);
        model.addAttribute("triage", triage);
        model.addAttribute("pushers", job.movement().lore().pushers());
        model.addAttribute("resets", ResetTried.Did.values());
        model.addAttribute(
                "left", lines.stream().filter(l -> l.outcome() == null).count());
        return "arrival/checks";
    }

    /** Of a watch of another class nobody asks for a chronograph; of an unknown one the checks can be said to have none. */
    private static List<Check> asked(OpenJob job) {
        WatchClass known = job.sheet() == null ? null : job.sheet().data().watchClass();
        boolean chronograph = known == null || known == WatchClass.CHRONOGRAPH;
        return Arrays.stream(Check.values())
                .filter(c -> chronograph || !c.isOfAChronograph())
                .toList();
    }

    @PostMapping("/jobs/{number}/checks")
    String check(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam Check check,
            @RequestParam Checked.Outcome outcome,
            @RequestParam(defaultValue = "") String words) {
        String kept = words.substring(0, Math.min(words.length(), 1000));
        workshop.append(number, seq, new Checked(check, outcome, kept));
        return "redirect:/jobs/" + number + "/checks";
    }

    @PostMapping("/jobs/{number}/checks/reset")
    String reset(@PathVariable int number, @RequestParam int seq, @RequestParam ResetTried.Did did) {
        workshop.append(number, seq, new ResetTried(did));
        return "redirect:/jobs/" + number + "/checks";
    }
}
