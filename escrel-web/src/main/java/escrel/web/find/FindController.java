package escrel.web.find;

import escrel.core.handover.Stage;
import escrel.core.job.Wait;
import escrel.web.list.JobList;
import escrel.web.list.Listed;
import escrel.web.list.Wanted;
import escrel.web.storage.JobLineMapper;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** Finds jobs by any word that is said of them. */
@Controller
class FindController {
    private static final int ON_A_PAGE = 20;
    private static final int LAST_PAGE = 10_000;
    private static final int LONGEST = 200;

    private final JobList list;
    private final JobLineMapper lines;
    private final Clock clock;

    FindController(JobList list, JobLineMapper lines, Clock clock) {
        this.list = list;
        this.lines = lines;
        this.clock = clock;
    }

    /**
     * A stage on the rail.
     *
     * @param share of the most frequent one, 0 to 1
     */
    record OnRail(Stage stage, String words, int jobs, double share, boolean chosen) {}

    /**
     * What was found.
     *
     * @param total of all pages, at the stage that was chosen
     * @param missing jobs whose words are not read into the list yet
     */
    record Found(
            String typed,
            @Nullable Stage stage,
            @Nullable Wait waitingFor,
            List<Listed> jobs,
            List<OnRail> rail,
            int all,
            int total,
            int page,
            boolean more,
            int missing) {}

    @GetMapping("/jobs")
    String find(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(required = false) @Nullable Stage stage,
            @RequestParam(required = false) @Nullable Wait wait,
            @RequestParam(defaultValue = "0") int page,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String part,
            Model model) {
        String typed = q.length() <= LONGEST ? q : q.substring(0, LONGEST);
        model.addAttribute("found", found(typed, stage, wait, Math.max(0, Math.min(page, LAST_PAGE))));
        model.addAttribute("waits", Wait.values());
        return part == null ? "find/find" : "find/find :: found";
    }

    private Found found(String typed, @Nullable Stage stage, @Nullable Wait wait, int page) {
        JobList.Found found = list.find(Wanted.of(typed, stage, wait), page * ON_A_PAGE, ON_A_PAGE);
        Map<Stage, Integer> counts = found.atStage();
        int most = counts.values().stream().mapToInt(Integer::intValue).max().orElse(1);
        int total = stage == null ? found.all() : counts.getOrDefault(stage, 0);
        List<OnRail> rail = Arrays.stream(Stage.values())
                .map(s -> {
                    int jobs = counts.getOrDefault(s, 0);
                    return new OnRail(s, Listed.words(s), jobs, (double) jobs / most, s == stage);
                })
                .toList();
        List<Listed> jobs =
                found.jobs().stream().map(l -> Listed.of(l, clock.instant())).toList();
        boolean more = (page + 1) * ON_A_PAGE < total;
        return new Found(typed, stage, wait, jobs, rail, found.all(), total, page, more, lines.countMissing());
    }
}
