package escrel.web.safe;

import escrel.web.format.Show;
import escrel.web.ground.Backup;
import escrel.web.upkeep.BackupPlan;
import escrel.web.upkeep.Backups;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Backups: what there is, what is due, and one more now. */
@Controller
class SafeController {
    private final Backups backups;
    private final Clock clock;
    private final Show show;

    SafeController(Backups backups, Clock clock, Show show) {
        this.backups = backups;
        this.clock = clock;
        this.show = show;
    }

    @GetMapping("/safe")
    String page(Model model) {
        BackupPlan plan = backups.plan();
        List<Backups.Kept> all = backups.all();
        Optional<Backups.Kept> newest =
                all.stream().filter(Backups.Kept::readable).findFirst();
        model.addAttribute("plan", plan);
        model.addAttribute("all", all);
        model.addAttribute("verdict", Verdict.of(newest, plan, backups.onSameDisk(), clock.instant()));
        model.addAttribute("fault", backups.fault().orElse(null));
        model.addAttribute("drawing", SafeDrawing.of(all, clock.instant(), show));
        return "safe/safe";
    }

    @PostMapping("/safe/now")
    String now(RedirectAttributes flash) {
        Backup.Made made = backups.make();
        flash.addFlashAttribute(
                "said",
                "Backed up and read back: %d jobs, %d steps, %d files of photos, recordings and documents"
                        .formatted(made.jobs(), made.steps(), made.media()));
        return "redirect:/safe";
    }

    @PostMapping("/safe/plan")
    String plan(
            @RequestParam int hours, @RequestParam int keep, @RequestParam String folder, RedirectAttributes flash) {
        backups.plan(hours, keep, folder);
        flash.addFlashAttribute("said", "Backups go by this from now on");
        return "redirect:/safe";
    }
}
