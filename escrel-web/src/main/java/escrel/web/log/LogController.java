package escrel.web.log;

import escrel.core.calibre.CalibreSheet;
import escrel.core.job.StepFields;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
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
        CalibreSheet sheet = job.movement();
        model.addAttribute("step", step);
        model.addAttribute("screws", step instanceof PartOff);
        model.addAttribute("fields", StepFields.of(step));
        model.addAttribute("parts", sheet.parts());
        model.addAttribute("points", sheet.oilPoints());
        model.addAttribute("tests", sheet.tests());
        model.addAttribute("names", new StepKind.Names(sheet));
        model.addAttribute("states", ScrewsFound.State.values());
        return "log/correct";
    }

    @PostMapping("/jobs/{number}/log/{sequence}")
    String correct(
            @PathVariable int number,
            @PathVariable int sequence,
            @RequestParam int seq,
            @RequestParam MultiValueMap<String, String> all,
            RedirectAttributes next) {
        CorrectForm form = CorrectForm.of(all);
        next.addFlashAttribute("said", actions.correct(number, seq, sequence, form));
        return "redirect:/jobs/" + number + "/log";
    }
}
