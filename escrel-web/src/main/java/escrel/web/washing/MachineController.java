package escrel.web.washing;

import escrel.core.MendableException;
import escrel.core.cleaning.LoadStarted;
import escrel.core.clock.ClockMoved;
import escrel.core.clock.Clocks;
import escrel.core.clock.Timed;
import escrel.web.storage.WorkshopLogs;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The door for a cleaning machine, described in {@code docs/formats/machine.md}: what to do, where it stands, that it is done. */
@Controller
class MachineController {
    private final WorkshopLogs log;
    private final Clock clock;

    MachineController(WorkshopLogs log, Clock clock) {
        this.log = log;
        this.clock = clock;
    }

    /** A stretch of a load's programme. */
    record Stretch(String words, String jar, int seconds) {}

    /**
     * A load.
     *
     * @param stretch in which it stands by the clock, from 0
     * @param over whether its time is over
     */
    record Load(
            String id, int job, String programme, List<Stretch> stretches, Instant set, int stretch, boolean over) {}

    @GetMapping(value = "/machine/loads.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    List<Load> loads() {
        Instant now = clock.instant();
        List<Load> all = new ArrayList<>();
        for (Clocks.Running running : log.load().running().running()) {
            if (running.clock() instanceof LoadStarted load) {
                Timed.Stand stand = running.at(now);
                all.add(new Load(
                        load.id(),
                        load.number(),
                        load.programme(),
                        stretches(load),
                        running.set(),
                        stand.stretch(),
                        stand.isOver()));
            }
        }
        return all;
    }

    private static List<Stretch> stretches(LoadStarted load) {
        List<Stretch> all = new ArrayList<>();
        for (int i = 0; i < load.stretches().size(); i++) {
            Timed.Stretch stretch = load.stretches().get(i);
            all.add(new Stretch(stretch.words(), load.jars().get(i), stretch.seconds()));
        }
        return all;
    }

    /** The machine says where it stands; what is clean a person still says. */
    @PostMapping("/machine/loads/{id}")
    @ResponseBody
    ResponseEntity<Void> stands(@PathVariable String id, @RequestParam int stretch) {
        int stretches = log.load()
                .running()
                .byId(id)
                .filter(r -> r.clock() instanceof LoadStarted)
                .map(r -> r.clock().stretches().size())
                .orElseThrow(() -> refuse("There is no such load in the machine"));
        if (stretch < 0 || stretch > stretches) {
            throw refuse(
                    "The load has stretches 0 to " + (stretches - 1) + "; " + stretches + " means that it is done");
        }
        log.append(new ClockMoved(id, stretch));
        return ResponseEntity.noContent().build();
    }

    private static MendableException refuse(String what) {
        return new MendableException(what, "Nothing was recorded.", "Ask for the loads again.");
    }
}
