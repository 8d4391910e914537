package escrel.web.today;

import escrel.web.answers.KeptMarkup;
import escrel.web.format.Show;
import escrel.web.ground.Ground;
import escrel.web.list.ListMapper;
import escrel.web.list.Listed;
import escrel.web.upkeep.Backups;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.context.request.WebRequest;

/** The first page. */
@Controller
class TodayController {
    private static final int LAST_GONE = 10;
    private static final int ON_A_PAGE = 100;
    private static final int KEYS = 9;

    private final ListMapper mapper;
    private final Backups backups;
    private final Ground ground;
    private final Clock clock;
    private final KeptMarkup kept;
    private final Show show;

    TodayController(ListMapper mapper, Backups backups, Ground ground, Clock clock, KeptMarkup kept, Show show) {
        this.show = show;
        this.kept = kept;
        this.ground = ground;
        this.backups = backups;
        this.mapper = mapper;
        this.clock = clock;
    }

    /** A job for other programs. */
    record Given(int number, String watch, @Nullable String calibre, String stage) {}

    @GetMapping("/")
    String today(Model model) {
        List<Listed> house = mapper.inTheHouse().stream()
                .map(l -> Listed.of(l, clock.instant()))
                .toList();
        model.addAttribute("house", house);
        model.addAttribute("rows", rows(house));
        model.addAttribute("gone", gone());
        model.addAttribute("told", ground.told());
        Backups.Standing standing = backups.standing();
        model.addAttribute("backup", standing.newest());
        model.addAttribute("backupLate", standing.overdue());
        model.addAttribute("backupFault", standing.fault());
        return "today/today";
    }

    /** One row for each; the first nine have a key. */
    private String rows(List<Listed> house) {
        StringBuilder rows = new StringBuilder();
        for (int i = 0; i < house.size(); i++) {
            rows.append(kept.of("list/row", "row", Map.of("r", house.get(i), "key", i < KEYS ? i + 1 : 0)));
        }
        return rows.toString();
    }

    /** A row for each that went back lately. */
    private String gone() {
        StringBuilder rows = new StringBuilder();
        for (ListMapper.Line line : mapper.lastGone(LAST_GONE)) {
            rows.append(kept.of("list/row", "gone", Map.of("line", line, "day", show.day(line.changedAt()))));
        }
        return rows.toString();
    }

    /** All jobs by number, some at a time; the address of the next page stands in the Link header. */
    @GetMapping("/jobs.json")
    ResponseEntity<List<Given>> jobs(@RequestParam(defaultValue = "0") int after, WebRequest request) {
        if (request.checkNotModified(mapper.standing(after, ON_A_PAGE))) {
            return ResponseEntity.status(HttpStatus.NOT_MODIFIED).build();
        }
        List<Given> jobs = mapper.after(after, ON_A_PAGE).stream()
                .map(l -> new Given(l.number(), l.watch(), l.calibreName(), l.stage()))
                .toList();
        ResponseEntity.BodyBuilder answer = ResponseEntity.ok();
        if (jobs.size() == ON_A_PAGE) {
            int last = jobs.get(jobs.size() - 1).number();
            answer.header(HttpHeaders.LINK, "</jobs.json?after=" + last + ">; rel=\"next\"");
        }
        return answer.body(jobs);
    }
}
