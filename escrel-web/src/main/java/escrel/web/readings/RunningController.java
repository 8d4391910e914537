package escrel.web.readings;

import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import java.time.Clock;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Running in and running down: curves over the hours, and the clock of the next reading. */
@Controller
class RunningController {
    private final Workshop workshop;
    private final Clock clock;

    RunningController(Workshop workshop, Clock clock) {
        this.workshop = workshop;
        this.clock = clock;
    }

    @GetMapping("/jobs/{number}/running")
    String running(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("view", RunningView.of(job.job(), clock.instant()));
        return "readings/running";
    }
}
