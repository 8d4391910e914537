package escrel.web.today;

import escrel.web.ground.Ground;
import escrel.web.list.ListMapper;
import escrel.web.list.Listed;
import escrel.web.upkeep.Backups;
import java.time.Clock;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** The first page. */
@Controller
class TodayController {
    private static final int LAST_GONE = 10;

    private final ListMapper mapper;
    private final Backups backups;
    private final Ground ground;
    private final Clock clock;

    TodayController(ListMapper mapper, Backups backups, Ground ground, Clock clock) {
        this.ground = ground;
        this.backups = backups;
        this.mapper = mapper;
        this.clock = clock;
    }

    /** A job for other programs. */
    record Given(int number, String watch, @Nullable String calibre, String stage) {}

    @GetMapping("/")
    String today(Model model) {
        model.addAttribute(
                "house",
                mapper.inTheHouse().stream()
                        .map(l -> Listed.of(l, clock.instant()))
                        .toList());
        model.addAttribute(
                "gone",
                mapper.lastGone(LAST_GONE).stream()
                        .map(l -> Listed.of(l, clock.instant()))
                        .toList());
        model.addAttribute("told", ground.told());
        model.addAttribute("backup", backups.newest().orElse(null));
        model.addAttribute("backupLate", backups.isOverdue());
        model.addAttribute("backupFault", backups.fault().orElse(null));
        return "today/today";
    }

    @GetMapping("/jobs.json")
    @ResponseBody
    List<Given> jobs() {
        return mapper.all().stream()
                .map(l -> new Given(l.number(), l.watch(), l.calibreName(), l.stage()))
                .toList();
    }
}
