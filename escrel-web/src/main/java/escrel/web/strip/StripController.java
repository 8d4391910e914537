package escrel.web.strip;

import escrel.core.calibre.Side;
import escrel.core.service.StepKind;
import escrel.web.job.AtHand;
import escrel.web.job.JobHead;
import escrel.web.job.Learnt;
import escrel.web.job.OpenJob;
import escrel.web.job.Visits;
import escrel.web.job.Workshop;
import escrel.web.room.Rooms;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The strip page and its keys. */
@Controller
class StripController {
    private static final String BENCH = "strip/strip :: bench";

    private final Workshop workshop;
    private final StripActions actions;
    private final StripActs acts;
    private final Visits visits;
    private final Learnt learnt;
    private final AtHand atHand;

    StripController(
            Workshop workshop, StripActions actions, StripActs acts, Visits visits, Learnt learnt, AtHand atHand) {
        this.learnt = learnt;
        this.atHand = atHand;
        this.workshop = workshop;
        this.actions = actions;
        this.acts = acts;
        this.visits = visits;
    }

    @GetMapping("/jobs/{number}/strip")
    String strip(
            @PathVariable int number,
            @ModelAttribute StripView.Asked asked,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String partOfPage,
            Model model) {
        fill(model, number, asked, null, null, null);
        return partOfPage == null ? "strip/strip" : BENCH;
    }

    @PostMapping("/jobs/{number}/strip/off")
    String off(@PathVariable int number, @ModelAttribute StripForm form, Model model) {
        StripActions.Outcome outcome = actions.takeOff(number, form);
        boolean done = outcome == StripActions.Outcome.RECORDED;
        fill(model, number, StripView.Asked.part(done ? null : form.part()), outcome, done ? null : form, null);
        return BENCH;
    }

    @PostMapping("/jobs/{number}/strip/act")
    String act(@PathVariable int number, @ModelAttribute StripActs.Form form, Model model, HttpServletResponse answer) {
        String next = acts.leadsTo(form);
        if (next != null) {
            // what was typed only leads on to a panel: nothing is recorded yet
            fill(model, number, acts.asked(number, form, next), null, null, null);
            return BENCH;
        }
        StripActs.Done done = acts.record(number, form);
        leadBack(number, form.from(), answer);
        fill(model, number, StripView.Asked.of(done.part(), form.side(), null, null), null, null, done.said());
        return BENCH;
    }

    @PostMapping("/jobs/{number}/strip/pin")
    String pin(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam String part,
            @RequestParam Side side,
            @RequestParam double x,
            @RequestParam double y,
            Model model) {
        acts.pin(number, seq, part, side, x, y);
        fill(model, number, StripView.Asked.of(part, side, null, null), null, null, "Pinned");
        return BENCH;
    }

    @PostMapping("/jobs/{number}/strip/undo")
    String undo(@PathVariable int number, @RequestParam int seq, Model model) {
        String back = workshop.takeBack(number, seq, StepKind.STRIP);
        fill(model, number, StripView.Asked.part(null), null, null, "Taken back: " + back);
        return BENCH;
    }

    @PostMapping("/jobs/{number}/strip/again")
    String again(@PathVariable int number, @RequestParam int seq, Model model) {
        String again = workshop.doAgain(number, seq, StepKind.STRIP);
        fill(model, number, StripView.Asked.part(null), null, null, "Done again: " + again);
        return BENCH;
    }

    @PostMapping("/jobs/{number}/strip/visit")
    String visit(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam String part,
            @RequestParam String visitor,
            Model model) {
        String said = visits.toggle(number, seq, visitor);
        fill(model, number, StripView.Asked.part(part), null, null, said);
        return BENCH;
    }

    @PostMapping("/jobs/{number}/strip/photo")
    String photo(
            @PathVariable int number,
            @RequestParam String part,
            @RequestParam Side side,
            @RequestParam MultipartFile picture,
            @RequestParam(defaultValue = "") String from,
            Model model,
            HttpServletResponse answer)
            throws IOException {
        leadBack(number, from, answer);
        actions.photo(number, part.isEmpty() ? null : part, side, picture.getInputStream());
        fill(model, number, StripView.Asked.of(part, side, null, null), null, null, "Photo kept");
        return BENCH;
    }

    /** Back to the room from which the bench was asked. */
    private static void leadBack(int number, String room, HttpServletResponse answer) {
        if (Rooms.leadsTo(room)) {
            answer.setHeader("HX-Redirect", "/jobs/" + number + "/" + room);
        }
    }

    private void fill(
            Model model,
            int number,
            StripView.Asked asked,
            StripActions.@Nullable Outcome outcome,
            @Nullable StripForm form,
            @Nullable String said) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        StripView view = StripView.of(job, asked, outcome, form, said);
        model.addAttribute("view", view);
        String part = view.card() == null ? "" : view.card().part().code();
        atHand.shows(number, part);
        model.addAttribute("foundHere", learnt.foundBefore(job).on(part).orElse(null));
    }
}
