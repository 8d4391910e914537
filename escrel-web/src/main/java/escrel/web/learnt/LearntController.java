package escrel.web.learnt;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.WatchClass;
import escrel.core.learning.Matching;
import escrel.core.learning.SheetDifference;
import escrel.core.service.CalibreBound;
import escrel.core.watchcase.CaseSheet;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.Sheets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What was learnt, and binding a job that began without a sheet. */
@Controller
class LearntController {
    private final Workshop workshop;
    private final Sheets sheets;
    private final LearntActions actions;
    private final CaseLearnt cases;

    LearntController(Workshop workshop, Sheets sheets, LearntActions actions, CaseLearnt cases) {
        this.cases = cases;
        this.workshop = workshop;
        this.sheets = sheets;
        this.actions = actions;
    }

    @GetMapping("/jobs/{number}/learnt")
    String learnt(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        CalibreSheet base = actions.base(job);
        SheetDifference difference = actions.difference(job, base);
        CaseSheet caseBase = cases.base(job);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("known", job.sheet() != null);
        model.addAttribute("base", base);
        model.addAttribute("newer", job.sheet() != null && sheets.latestVersion(base.id()) > job.sheetVersion());
        model.addAttribute("teardowns", difference.teardowns());
        model.addAttribute("settingSaid", job.movement().data().setting().name());
        model.addAttribute("classes", WatchClass.values());
        model.addAttribute("lines", difference.lines());
        model.addAttribute("plans", LearntPlan.of(job, difference.lines()));
        model.addAttribute("unread", actions.unread());
        model.addAttribute("pictures", job.sheet() == null ? List.of() : actions.newPictures(job, base));
        model.addAttribute("sheets", sheets.all());
        model.addAttribute("mishaps", LearntActions.mishaps(job, base));
        model.addAttribute("caseSheet", job.caseSheet());
        model.addAttribute("caseLines", CaseLearnt.difference(job, caseBase).lines());
        model.addAttribute("caseMishaps", CaseLearnt.mishaps(job, caseBase));
        model.addAttribute("arrival", job.arrival());
        return "learnt/learnt";
    }

    @PostMapping("/jobs/{number}/learnt")
    String accept(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(required = false) @Nullable List<String> line,
            @ModelAttribute LearntForm form,
            RedirectAttributes flash) {
        CalibreSheet kept = actions.accept(number, seq, line == null ? List.of() : line, form);
        flash.addFlashAttribute("said", kept.name() + " is kept as version " + sheets.latestVersion(kept.id()));
        return "redirect:/jobs/" + number + "/learnt";
    }

    @PostMapping("/jobs/{number}/learnt/case")
    String acceptCase(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(required = false) @Nullable List<String> line,
            @RequestParam(defaultValue = "") String maker,
            @RequestParam(defaultValue = "") String reference,
            RedirectAttributes flash) {
        CaseSheet kept = cases.accept(number, seq, line == null ? List.of() : line, maker, reference);
        flash.addFlashAttribute("said", "The case " + kept.name() + " is kept");
        return "redirect:/jobs/" + number + "/learnt";
    }

    @PostMapping("/jobs/{number}/lift")
    String lift(@PathVariable int number, @RequestParam int seq, RedirectAttributes flash) {
        OpenJob job = workshop.load(number);
        CalibreSheet sheet = job.requireSheet();
        int latest = sheets.latestVersion(sheet.id());
        workshop.append(number, seq, actions.rebound(job, sheet.id(), latest));
        flash.addFlashAttribute("said", "The job goes by version " + latest + " now; no step was lost");
        return "redirect:/jobs/" + number + "/learnt";
    }

    @GetMapping("/jobs/{number}/bind")
    String bind(@PathVariable int number, @RequestParam String calibre, Model model) {
        OpenJob job = workshop.load(number);
        CalibreSheet sheet = actions.inItsCase(job, actions.requireSheet(calibre));
        List<Part> working = actions.working(job, calibre);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("sheet", sheet);
        model.addAttribute("working", working);
        model.addAttribute("proposed", Matching.propose(working, sheet));
        return "learnt/bind";
    }

    @PostMapping("/jobs/{number}/bind")
    String bindNow(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam String calibre,
            @RequestParam(defaultValue = "") String variant,
            @RequestParam(defaultValue = "CALIBRE") CalibreBound.As as,
            @RequestParam(required = false) @Nullable List<String> from,
            @RequestParam(required = false) @Nullable List<String> to) {
        Map<String, String> sameAs = new LinkedHashMap<>();
        for (int i = 0; from != null && to != null && i < Math.min(from.size(), to.size()); i++) {
            if (!to.get(i).isEmpty()) {
                sameAs.put(from.get(i), to.get(i));
            }
        }
        actions.bind(number, seq, calibre, variant, as, sameAs);
        return "redirect:/jobs/" + number + "/strip";
    }
}
