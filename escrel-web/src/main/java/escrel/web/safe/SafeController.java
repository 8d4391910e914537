package escrel.web.safe;

import escrel.core.MendableException;
import escrel.web.format.Show;
import escrel.web.ground.Backup;
import escrel.web.upkeep.BackupNow;
import escrel.web.upkeep.BackupPlan;
import escrel.web.upkeep.Backups;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Backups: what there is, what is due, and one more now. */
@Controller
class SafeController {
    /** A small workshop is backed up while one waits for the page; a large one goes on beside it. */
    private static final Duration PATIENCE = Duration.ofSeconds(1);

    private final Backups backups;
    private final BackupNow now;
    private final Clock clock;
    private final Show show;

    SafeController(Backups backups, BackupNow now, Clock clock, Show show) {
        this.now = now;
        this.backups = backups;
        this.clock = clock;
        this.show = show;
    }

    @GetMapping("/safe")
    String page(Model model) {
        String failed = tell(model);
        model.addAttribute("since", now.runningSince().orElse(null));
        BackupPlan plan = backups.plan();
        List<Backups.Kept> all = backups.all();
        Optional<Backups.Kept> newest =
                all.stream().filter(Backups.Kept::readable).findFirst();
        model.addAttribute("plan", plan);
        model.addAttribute("all", all);
        model.addAttribute("verdict", Verdict.of(newest, plan, backups.onSameDisk(), clock.instant()));
        model.addAttribute("fault", backups.fault().orElse(failed));
        model.addAttribute("drawing", SafeDrawing.of(all, clock.instant(), show));
        return "safe/safe";
    }

    /** What became of one that was going on; why it failed, or nothing. */
    private @Nullable String tell(Model model) {
        try {
            now.toTell(Duration.ZERO).ifPresent(made -> model.addAttribute("said", words(made)));
            return null;
        } catch (MendableException e) {
            return e.whatHappened();
        }
    }

    @PostMapping("/safe/now")
    String now(RedirectAttributes flash) {
        now.begin();
        now.toTell(PATIENCE).ifPresent(made -> flash.addFlashAttribute("said", words(made)));
        return "redirect:/safe";
    }

    private static String words(Backup.Made made) {
        return "Backed up and read back: %d jobs, %d steps, %d files of photos, recordings and documents"
                .formatted(made.jobs(), made.steps(), made.media());
    }

    /** Asked while one is being made; when it is done the whole page is asked for again. */
    @GetMapping("/safe/progress")
    String progress(Model model, HttpServletResponse response) {
        Optional<Instant> since = now.runningSince();
        if (since.isEmpty()) {
            response.setHeader("HX-Refresh", "true");
        }
        model.addAttribute("since", since.orElse(null));
        return "safe/safe :: running";
    }

    @PostMapping("/safe/plan")
    String plan(
            @RequestParam int hours, @RequestParam int keep, @RequestParam String folder, RedirectAttributes flash) {
        backups.plan(hours, keep, folder);
        flash.addFlashAttribute("said", "Backups go by this from now on");
        return "redirect:/safe";
    }
}
