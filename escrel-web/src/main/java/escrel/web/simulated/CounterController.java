package escrel.web.simulated;

import escrel.core.lume.LumeCounted;
import escrel.core.lume.LumeItem;
import escrel.simulator.counter.SimulatedCounter;
import escrel.web.job.Workshop;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A simulated counter over luminous paint, for learning and for tests; what it counts says that it is simulated. */
@Controller
class CounterController {
    private static final double BACKGROUND = 30;
    private static final double ACTIVE = 52;
    private static final double MINUTES = 5;

    private final Workshop workshop;

    CounterController(Workshop workshop) {
        this.workshop = workshop;
    }

    @PostMapping("/jobs/{number}/lume/simulated")
    String count(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam LumeItem item,
            @RequestParam boolean active) {
        SimulatedCounter counter = new SimulatedCounter(31L * number + seq);
        workshop.append(
                number,
                seq,
                new LumeCounted(
                        item,
                        LumeCounted.Unit.COUNTS,
                        counter.count(BACKGROUND + (active ? ACTIVE : 0), MINUTES),
                        MINUTES,
                        counter.count(BACKGROUND, MINUTES),
                        MINUTES,
                        true));
        return "redirect:/jobs/" + number + "/lume";
    }
}
