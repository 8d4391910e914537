package escrel.web.climb;

import escrel.core.MendableException;
import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.LubricantClass;
import escrel.core.service.StepKind;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import escrel.web.storage.WorkshopLogs;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The oiling chart of a job: class by class, so that one oiler is used after another. */
@Controller
class OilController {
    private final Workshop workshop;
    private final WorkshopLogs log;
    private final ClimbActions actions;
    private final Clock clock;

    OilController(Workshop workshop, WorkshopLogs log, ClimbActions actions, Clock clock) {
        this.workshop = workshop;
        this.log = log;
        this.actions = actions;
        this.clock = clock;
    }

    @GetMapping("/jobs/{number}/oil")
    String chart(
            @PathVariable int number,
            @RequestParam(required = false) @Nullable LubricantClass of,
            @RequestParam(required = false) @Nullable String point,
            Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.CLIMB));
        model.addAttribute("chart", OilChart.of(job, log.load().bottles(), LocalDate.now(clock), of, point));
        model.addAttribute("lubricants", LubricantClass.values());
        return "climb/oil";
    }

    /** The point at hand is done, of its class or another. */
    @PostMapping("/jobs/{number}/oil")
    String done(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam String point,
            @RequestParam(required = false) @Nullable LubricantClass of,
            @RequestParam(required = false) @Nullable LubricantClass lubricant,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String inSpiteOf) {
        ClimbActions.Outcome outcome = actions.done(
                number,
                new ClimbForm(AssemblyPlan.Kind.OIL, point, seq, words, inSpiteOf, true, false, lubricant, null));
        if (outcome != ClimbActions.Outcome.RECORDED) {
            throw new MendableException(
                    "This point cannot be reached yet, or would be covered",
                    "Nothing was recorded.",
                    "Do what comes before it on the climb, or say why it is done now all the same.");
        }
        return back(number, of);
    }

    /** Left out on purpose, with a reason. */
    @PostMapping("/jobs/{number}/oil/skip")
    String skip(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam String point,
            @RequestParam(required = false) @Nullable LubricantClass of,
            @RequestParam(defaultValue = "") String words) {
        actions.passOver(number, new ClimbForm(AssemblyPlan.Kind.OIL, point, seq, words, "", true, false, null, null));
        return back(number, of);
    }

    /** Points of the draft that were ticked stand on the chart from now on, and in the sheet when it is learnt. */
    @PostMapping("/jobs/{number}/oil/draft")
    String draft(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(required = false) @Nullable List<Integer> take) {
        actions.draft(number, seq, take == null ? List.of() : take);
        return "redirect:/jobs/" + number + "/oil";
    }

    private static String back(int number, @Nullable LubricantClass of) {
        return "redirect:/jobs/" + number + "/oil" + (of == null ? "" : "?of=" + of);
    }
}
