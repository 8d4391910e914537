package escrel.web.simulated;

import escrel.core.MendableException;
import escrel.core.clock.ClockMoved;
import escrel.core.clock.Clocks;
import escrel.web.storage.WorkshopLogs;
import java.time.Clock;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A simulated cleaning machine that is quicker than any: each press ends the stretch it is in, as a real one would say it. */
@Controller
class SimulatedMachineController {
    private final WorkshopLogs log;
    private final Clock clock;

    SimulatedMachineController(WorkshopLogs log, Clock clock) {
        this.log = log;
        this.clock = clock;
    }

    @PostMapping("/simulated/machine/{id}")
    String next(@PathVariable String id, @RequestParam int job) {
        Clocks.Running running = log.load()
                .running()
                .byId(id)
                .orElseThrow(() -> new MendableException(
                        "There is no such load in the machine", "Nothing was recorded.", "Reload the page."));
        int next = running.at(clock.instant()).stretch() + 1;
        log.append(new ClockMoved(id, Math.min(next, running.clock().stretches().size())));
        return "redirect:/jobs/" + job + "/wash";
    }
}
