package escrel.web.inspection;

import escrel.core.calibre.Side;
import escrel.core.service.StepKind;
import escrel.web.job.AtHand;
import escrel.web.job.JobHead;
import escrel.web.job.Learnt;
import escrel.web.job.OpenJob;
import escrel.web.job.PartStory;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import escrel.web.storage.WorkshopLogs;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** The inspection as a walk over plan and case: one key a part. */
@Controller
class LookController {
    private static final String BENCH = "inspection/look :: bench";

    private final Workshop workshop;
    private final LookActions actions;
    private final Learnt learnt;
    private final AtHand atHand;
    private final WorkshopLogs log;

    LookController(Workshop workshop, LookActions actions, Learnt learnt, AtHand atHand, WorkshopLogs log) {
        this.log = log;
        this.workshop = workshop;
        this.actions = actions;
        this.learnt = learnt;
        this.atHand = atHand;
    }

    @GetMapping("/jobs/{number}/inspect")
    String look(
            @PathVariable int number,
            @ModelAttribute LookView.Asked asked,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String partOfPage,
            Model model) {
        fill(model, number, asked, null);
        return partOfPage == null ? "inspection/look" : BENCH;
    }

    @PostMapping("/jobs/{number}/inspect/judge")
    String judge(@PathVariable int number, @ModelAttribute LookForm form, Model model) {
        String next = actions.judge(number, form);
        boolean same = form.part().equals(next);
        fill(model, number, at(next == null ? form.part() : next, same ? form.side() : null), null);
        return BENCH;
    }

    @PostMapping("/jobs/{number}/inspect/rest")
    String rest(@PathVariable int number, @RequestParam int seq, @RequestParam String part, Model model) {
        int count = actions.restIsGood(number, seq);
        fill(model, number, at(part, null), count + (count == 1 ? " part" : " parts") + " judged: good");
        return BENCH;
    }

    @PostMapping("/jobs/{number}/inspect/undo")
    String undo(@PathVariable int number, @RequestParam int seq, Model model) {
        String back = workshop.takeBack(number, seq, StepKind.INSPECT);
        fill(model, number, at(null, null), "Taken back: " + back);
        return BENCH;
    }

    @PostMapping("/jobs/{number}/inspect/again")
    String again(@PathVariable int number, @RequestParam int seq, Model model) {
        String again = workshop.doAgain(number, seq, StepKind.INSPECT);
        fill(model, number, at(null, null), "Done again: " + again);
        return BENCH;
    }

    private static LookView.Asked at(@Nullable String part, @Nullable Side side) {
        return new LookView.Asked(part, side, null, null, null);
    }

    private void fill(Model model, int number, LookView.Asked asked, @Nullable String said) {
        OpenJob job = workshop.load(number);
        LookView view = LookView.of(job, asked);
        String part = view.part() == null ? "" : view.part().code();
        model.addAttribute("plays", MeasuredPlay.of(job, view.part(), log.load().play()));
        // the plate is no part a picture could be kept with
        atHand.shows(number, job.movement().part(part).isPresent() ? part : "");
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.INSPECT));
        model.addAttribute("view", view);
        model.addAttribute("said", said);
        model.addAttribute("panelName", asked.panel());
        model.addAttribute("restOpen", "rest".equals(asked.panel()));
        model.addAttribute("waiting", job.job().findings().open().size());
        PartStory story = PartStory.of(job, part);
        model.addAttribute("suspected", story.suspected());
        model.addAttribute("weak", story.weakPoints());
        model.addAttribute("foundHere", learnt.foundBefore(job).on(part).orElse(null));
    }
}
