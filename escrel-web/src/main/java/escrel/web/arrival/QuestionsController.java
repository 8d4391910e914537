package escrel.web.arrival;

import escrel.core.MendableException;
import escrel.core.decision.Way;
import escrel.core.owner.ClaimSaid;
import escrel.core.owner.Estimate;
import escrel.core.owner.EstimateBasis;
import escrel.core.owner.OwnerAnswered;
import escrel.core.owner.OwnerAsked;
import escrel.core.owner.Questions;
import escrel.core.parts.Decision;
import escrel.core.parts.Finding;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.web.format.Amount;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.TimeLines;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import escrel.web.storage.WorkshopLogs;
import escrel.web.stores.Weighing;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Questions to the owner: asked, awaited, answered; each as a page to print or send. */
@Controller
class QuestionsController {
    private final Workshop workshop;
    private final WorkshopLogs log;
    private final Weighing weighing;
    private final TimeLines times;
    private final Clock clock;

    QuestionsController(Workshop workshop, WorkshopLogs log, Weighing weighing, TimeLines times, Clock clock) {
        this.weighing = weighing;
        this.times = times;
        this.log = log;
        this.workshop = workshop;
        this.clock = clock;
    }

    @GetMapping("/jobs/{number}/owner")
    String questions(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.ARRIVAL));
        model.addAttribute("arrival", job.arrival());
        model.addAttribute("questions", Questions.of(job.history()).all());
        model.addAttribute("answers", OwnerAnswered.Answer.values());
        model.addAttribute("today", LocalDate.now(clock));
        model.addAttribute("triage", job.job().triage());
        model.addAttribute("wanting", job.job().findings().open());
        OptionalDouble rate = log.load().stores().rate();
        model.addAttribute("rate", rate.isPresent() ? Amount.words(rate.getAsDouble()) : "");
        List<EstimateBasis.Past> past =
                job.sheet() == null ? List.of() : times.services(job.sheet().id(), number);
        model.addAttribute("offer", Offer.of(past, basis(job, past), rate));
        model.addAttribute("claim", job.job().claim().orElse(null));
        return "arrival/owner";
    }

    /** What an estimate may go by: earlier services of the calibre, and the likeliest way of each finding. */
    private EstimateBasis basis(OpenJob job, List<EstimateBasis.Past> past) {
        double minutes = 0;
        double parts = TimeLines.prices(job);
        for (Finding finding : job.job().findings().all()) {
            if (finding.isSettled() || !finding.grade().needsDecision()) {
                continue;
            }
            Decision decided =
                    finding.decided() == null ? null : finding.decided().decision();
            Way way = weighing.ways(job, finding).stream()
                    .filter(w -> decided == null || w.decision() == decided)
                    .findFirst()
                    .orElse(null);
            if (way != null) {
                minutes += way.minutes();
                // what is decided is an order with its own price, or will be
                parts += decided == null && way.price() != null ? way.price() : 0;
            }
        }
        return EstimateBasis.of(past, minutes, parts);
    }

    @GetMapping("/jobs/{number}/owner/{at}")
    String letter(@PathVariable int number, @PathVariable int at, Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("arrival", job.arrival());
        model.addAttribute("q", require(job, at));
        return "arrival/letter";
    }

    @PostMapping("/jobs/{number}/owner")
    String ask(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(defaultValue = "") String question,
            @RequestParam(defaultValue = "") String due,
            @RequestParam(defaultValue = "") String hoursLow,
            @RequestParam(defaultValue = "") String hoursHigh,
            @RequestParam(defaultValue = "") String rate,
            @RequestParam(defaultValue = "") String parts) {
        workshop.append(
                number,
                seq,
                made(() -> new OwnerAsked(question, Amount.day(due), estimate(hoursLow, hoursHigh, rate, parts))));
        return "redirect:/jobs/" + number + "/owner";
    }

    @PostMapping("/jobs/{number}/claim")
    String claim(@PathVariable int number, @RequestParam int seq, @RequestParam(defaultValue = "") String words) {
        workshop.append(number, seq, made(() -> new ClaimSaid(words)));
        return "redirect:/jobs/" + number + "/owner";
    }

    @PostMapping("/jobs/{number}/owner/{at}")
    String answer(
            @PathVariable int number,
            @PathVariable int at,
            @RequestParam int seq,
            @RequestParam OwnerAnswered.Answer answer,
            @RequestParam(defaultValue = "") String words) {
        require(workshop.load(number), at);
        String kept = words.substring(0, Math.min(words.length(), OwnerAsked.LONGEST));
        workshop.append(number, seq, made(() -> new OwnerAnswered(at, answer, kept)));
        return "redirect:/jobs/" + number + "/owner";
    }

    private static Questions.Question require(OpenJob job, int at) {
        return Questions.of(job.history())
                .at(at)
                .orElseThrow(
                        () -> refuse("The owner was asked nothing in step " + at, "Choose a question from the list."));
    }

    private static Step made(Supplier<Step> step) {
        try {
            return step.get();
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()), "Correct it and send it again.");
        }
    }

    private static @Nullable Estimate estimate(String low, String high, String rate, String parts) {
        if ((low + high + parts).isBlank()) {
            // the rate stands there already, and says nothing by itself
            return null;
        }
        double from = figure(low);
        return new Estimate(from, high.isBlank() ? from : figure(high), figure(rate), figure(parts));
    }

    private static double figure(String typed) {
        Double figure = Amount.typed(typed);
        return figure == null ? 0 : figure;
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded.", todo);
    }
}
