package escrel.web.climb;

import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Side;
import escrel.core.lubrication.BottleKept;
import escrel.core.lubrication.Bottles;
import escrel.core.service.StepKind;
import escrel.web.job.AtHand;
import escrel.web.job.JobHead;
import escrel.web.job.Learnt;
import escrel.web.job.OpenJob;
import escrel.web.job.Visits;
import escrel.web.job.Workshop;
import escrel.web.storage.WorkshopLogs;
import java.time.Clock;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** The climb page and its keys. */
@Controller
class ClimbController {
    private static final String BENCH = "climb/climb :: bench";

    private final Workshop workshop;
    private final ClimbActions actions;
    private final Visits visits;
    private final Learnt learnt;
    private final AtHand atHand;
    private final WorkshopLogs log;
    private final Clock clock;

    ClimbController(
            Workshop workshop,
            ClimbActions actions,
            Visits visits,
            Learnt learnt,
            AtHand atHand,
            WorkshopLogs log,
            Clock clock) {
        this.log = log;
        this.clock = clock;
        this.atHand = atHand;
        this.workshop = workshop;
        this.actions = actions;
        this.visits = visits;
        this.learnt = learnt;
    }

    @GetMapping("/jobs/{number}/climb")
    String climb(
            @PathVariable int number,
            @RequestParam(required = false) @Nullable String line,
            @RequestParam(required = false) @Nullable Side side,
            @RequestParam(defaultValue = "false") boolean oil,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String partOfPage,
            Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        show(model, job, ClimbView.of(job, line, side, oil, null, null));
        return partOfPage == null ? "climb/climb" : BENCH;
    }

    @PostMapping("/jobs/{number}/climb/done")
    String done(@PathVariable int number, @ModelAttribute ClimbForm form, Model model) {
        ClimbActions.Outcome outcome = actions.done(number, form);
        boolean recorded = outcome == ClimbActions.Outcome.RECORDED;
        if (!recorded) {
            model.addAttribute("toCome", form.toCome());
        }
        fill(model, number, recorded ? null : form.code(), null, outcome, null);
        return BENCH;
    }

    @PostMapping("/jobs/{number}/climb/pass")
    String pass(@PathVariable int number, @ModelAttribute ClimbForm form, Model model) {
        actions.passOver(number, form);
        fill(model, number, null, null, null, "Passed over, with its reason");
        return BENCH;
    }

    @PostMapping("/jobs/{number}/climb/failed")
    String failed(@PathVariable int number, @ModelAttribute ClimbForm form, Model model) {
        actions.failed(number, form);
        fill(model, number, form.code(), null, null, "Recorded as failed; it stays open");
        return BENCH;
    }

    @PostMapping("/jobs/{number}/climb/oil-point")
    String oilPoint(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam String part,
            @RequestParam LubricantClass lubricant,
            Model model) {
        String said = actions.oilPoint(number, seq, part, lubricant);
        fill(model, number, null, null, null, said);
        return BENCH;
    }

    /** What was forgotten underneath is opened for at once: a round of its own, only as far as it must. */
    @PostMapping("/jobs/{number}/climb/forgotten")
    String forgotten(
            @PathVariable int number, @RequestParam int seq, @RequestParam String under, @RequestParam String line) {
        actions.openFor(number, seq, under, line);
        return "redirect:/jobs/" + number + "/strip";
    }

    @PostMapping("/jobs/{number}/climb/visit")
    String visit(@PathVariable int number, @RequestParam int seq, @RequestParam String code, Model model) {
        String said = visits.toggle(number, seq, code);
        fill(model, number, code, null, null, said);
        return BENCH;
    }

    @PostMapping("/jobs/{number}/climb/undo")
    String undo(@PathVariable int number, @RequestParam int seq, Model model) {
        String back = workshop.takeBack(number, seq, StepKind.CLIMB);
        fill(model, number, null, null, null, "Taken back: " + back);
        return BENCH;
    }

    @PostMapping("/jobs/{number}/climb/again")
    String again(@PathVariable int number, @RequestParam int seq, Model model) {
        String again = workshop.doAgain(number, seq, StepKind.CLIMB);
        fill(model, number, null, null, null, "Done again: " + again);
        return BENCH;
    }

    private void fill(
            Model model,
            int number,
            @Nullable String line,
            @Nullable Side side,
            ClimbActions.@Nullable Outcome outcome,
            @Nullable String said) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        show(model, job, ClimbView.of(job, line, side, false, outcome, said));
    }

    private void show(Model model, OpenJob job, ClimbView view) {
        model.addAttribute("view", view);
        ClimbView.Card card = view.card();
        OilPoint point = card == null ? null : card.point();
        BottleKept bottle = point == null
                ? null
                : log.load().bottles().inUse(point.lubricant()).orElse(null);
        model.addAttribute("bottle", bottle);
        model.addAttribute("bottleWarning", bottle == null ? "" : Bottles.warning(bottle, LocalDate.now(clock)));
        String part = card == null || card.part() == null ? "" : card.part().code();
        atHand.shows(job.number(), part);
        model.addAttribute("foundHere", learnt.foundBefore(job).on(part).orElse(null));
    }
}
