package escrel.web.inspection;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.Finding;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Findings;
import escrel.core.parts.LeftOut;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Findings and decisions. */
@Controller
class InspectionController {
    private final Workshop workshop;

    InspectionController(Workshop workshop) {
        this.workshop = workshop;
    }

    /** A finding as shown. */
    record Line(Finding finding, String where) {}

    @GetMapping("/jobs/{number}/inspect")
    String inspect(@PathVariable int number, @RequestParam(required = false) @Nullable String finding, Model model) {
        OpenJob job = workshop.load(number);
        CalibreSheet sheet = job.sheet();
        Findings findings = Findings.of(job.history());
        List<Line> lines =
                findings.all().stream().map(f -> new Line(f, where(f, sheet))).toList();
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("lines", lines);
        model.addAttribute(
                "chosen",
                findings.byKey(finding == null ? "" : finding)
                        .or(() -> findings.open().stream().findFirst())
                        .map(f -> new Line(f, where(f, sheet)))
                        .orElse(null));
        model.addAttribute("parts", sheet == null ? List.of() : sheet.homes());
        model.addAttribute("grades", Grade.values());
        model.addAttribute("defects", Defect.values());
        model.addAttribute("origins", Origin.values());
        model.addAttribute("decisions", Decision.values());
        return "inspection/inspection";
    }

    private static String where(Finding finding, @Nullable CalibreSheet sheet) {
        if (finding.part() == null || sheet == null) {
            return "the watch";
        }
        String part = sheet.part(finding.part()).map(Part::name).orElse(finding.part());
        return finding.isAboutScrew() ? "screw of " + part : part;
    }

    @PostMapping("/jobs/{number}/findings")
    String raise(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(defaultValue = "") String part,
            @RequestParam Grade grade,
            @RequestParam Defect defect,
            @RequestParam Origin origin,
            @RequestParam String words) {
        workshop.append(
                number, seq, new FindingRaised(part.isEmpty() ? null : part, grade, defect, origin, words.strip()));
        return "redirect:/jobs/" + number + "/inspect";
    }

    @PostMapping("/jobs/{number}/findings/{key}/decision")
    String decide(
            @PathVariable int number,
            @PathVariable String key,
            @RequestParam int seq,
            @RequestParam Decision decision,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String source) {
        OpenJob job = workshop.load(number);
        if (Findings.of(job.history()).byKey(key).isEmpty()) {
            throw refuse("There is no finding " + key + " in this job", "Reload the page and choose it from the list.");
        }
        if (decision.needsReason() && words.isBlank()) {
            throw refuse("“" + words(decision) + "” needs a reason", "Say why, then send it again.");
        }
        if (decision.replaces() && source.isBlank()) {
            throw refuse(
                    "“" + words(decision) + "” needs to say where the part comes from",
                    "Name the supplier, the donor or the material, then send it again.");
        }
        workshop.append(number, seq, new Decided(key, decision, words.strip(), source.strip()));
        return "redirect:/jobs/" + number + "/inspect";
    }

    @PostMapping("/jobs/{number}/left-out")
    String leaveOut(
            @PathVariable int number, @RequestParam int seq, @RequestParam String part, @RequestParam String reason) {
        OpenJob job = workshop.load(number);
        job.requireSheet()
                .part(part)
                .orElseThrow(() -> refuse("The sheet has no such part", "Choose it from the list."));
        if (reason.isBlank()) {
            throw refuse("Leaving a home empty needs a reason", "Say why, then send it again.");
        }
        workshop.append(number, seq, new LeftOut(part, reason.strip()));
        return "redirect:/jobs/" + number + "/inspect";
    }

    private static String words(Decision decision) {
        return decision.name().toLowerCase().replace('_', ' ');
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded; the findings are as they were.", todo);
    }
}
