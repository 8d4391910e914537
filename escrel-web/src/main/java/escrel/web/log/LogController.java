package escrel.web.log;

import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.parts.FindingRaised;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The log of a job, and its corrections. */
@Controller
class LogController {
    private final Workshop workshop;
    private final LogActions actions;

    LogController(Workshop workshop, LogActions actions) {
        this.workshop = workshop;
        this.actions = actions;
    }

    @GetMapping("/jobs/{number}/log")
    String log(@PathVariable int number, @RequestParam(required = false) @Nullable Integer before, Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.STRIP));
        model.addAttribute("view", LogView.of(job, before));
        return "log/log";
    }

    @GetMapping("/jobs/{number}/log/{sequence}")
    String step(@PathVariable int number, @PathVariable int sequence, Model model) {
        OpenJob job = workshop.load(number);
        Step step = actions.counting(job, sequence);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("sequence", sequence);
        model.addAttribute("words", LogView.said(step, job.movement()));
        model.addAttribute("step", step);
        model.addAttribute("kind", step.getClass().getSimpleName());
        model.addAttribute("parts", job.movement().parts());
        model.addAttribute("part", step instanceof FindingRaised raised ? raised.part() : null);
        model.addAttribute("grades", Grade.values());
        model.addAttribute("defects", Defect.values());
        model.addAttribute("origins", Origin.values());
        model.addAttribute("states", ScrewsFound.State.values());
        return "log/correct";
    }

    @PostMapping("/jobs/{number}/log/{sequence}")
    String correct(
            @PathVariable int number,
            @PathVariable int sequence,
            @RequestParam int seq,
            @RequestParam(required = false) @Nullable String part,
            @RequestParam(required = false) @Nullable Grade grade,
            @RequestParam(required = false) @Nullable Defect defect,
            @RequestParam(required = false) @Nullable Origin origin,
            @RequestParam(required = false) @Nullable String words,
            @RequestParam(required = false) @Nullable String name,
            @RequestParam(required = false) @Nullable Double millimetres,
            @RequestParam(required = false) PartOff.@Nullable Plan plan,
            @RequestParam(defaultValue = "false") boolean intact,
            @RequestParam Map<String, String> all,
            RedirectAttributes next) {
        CorrectForm form =
                new CorrectForm(part, grade, defect, origin, words, name, millimetres, plan, intact, screws(all));
        next.addFlashAttribute("said", actions.correct(number, seq, sequence, form));
        return "redirect:/jobs/" + number + "/log";
    }

    private static @Nullable Map<String, Integer> screws(Map<String, String> all) {
        Map<String, Integer> screws = new HashMap<>();
        all.forEach((field, value) -> {
            if (field.startsWith("screw-") && value.matches("[0-9]{1,2}")) {
                screws.put(field.substring("screw-".length()), Integer.valueOf(value));
            }
        });
        return all.keySet().stream().anyMatch(f -> f.startsWith("screw-")) ? screws : null;
    }
}
