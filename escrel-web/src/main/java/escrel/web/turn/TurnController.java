package escrel.web.turn;

import escrel.web.chart.TurnView;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Before and after. */
@Controller
class TurnController {
    /** Which figure is drawn large. */
    enum Figure {
        RATE,
        AMPLITUDE,
        BEAT_ERROR
    }

    private final Workshop workshop;

    TurnController(Workshop workshop) {
        this.workshop = workshop;
    }

    @GetMapping("/jobs/{number}/turn")
    String turn(@PathVariable int number, @RequestParam(defaultValue = "RATE") Figure figure, Model model) {
        OpenJob job = workshop.load(number);
        TurnView view = TurnView.of(job);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("view", view);
        model.addAttribute("figure", figure.name());
        if (view != null) {
            model.addAttribute(
                    "chart",
                    switch (figure) {
                        case RATE -> view.rate();
                        case AMPLITUDE -> view.amplitude();
                        case BEAT_ERROR -> view.beatError();
                    });
        }
        return "turn/turn";
    }
}
