package escrel.web.inspection;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.learning.FoundBefore;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decision;
import escrel.core.parts.Felt;
import escrel.core.parts.Finding;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.FindingWorked;
import escrel.core.parts.Findings;
import escrel.core.parts.OldPart;
import escrel.core.parts.SuspicionSettled;
import escrel.core.service.StepKind;
import escrel.web.job.JobHead;
import escrel.web.job.Learnt;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import escrel.web.room.Rooms;
import escrel.web.stores.Weighing;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Findings, decisions, and what came of them. */
@Controller
class FindingsController {
    private final Workshop workshop;
    private final FindingsActions actions;
    private final Learnt learnt;
    private final Weighing weighing;

    FindingsController(Workshop workshop, FindingsActions actions, Learnt learnt, Weighing weighing) {
        this.weighing = weighing;
        this.learnt = learnt;
        this.workshop = workshop;
        this.actions = actions;
    }

    @GetMapping("/jobs/{number}/findings")
    String findings(@PathVariable int number, @RequestParam(required = false) @Nullable String finding, Model model) {
        OpenJob job = workshop.load(number);
        CalibreSheet sheet = job.movement();
        Findings findings = job.job().findings();
        List<Docket.Line> lines =
                findings.all().stream().map(f -> Docket.line(f, sheet, job)).toList();
        Optional<Finding> chosen = findings.byKey(finding == null ? "" : finding)
                .or(() -> findings.all().stream().filter(f -> !f.isSettled()).findFirst())
                .or(() -> findings.all().stream().findFirst());
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.INSPECT));
        model.addAttribute("lines", lines);
        model.addAttribute("chosen", chosen.map(f -> Docket.line(f, sheet, job)).orElse(null));
        model.addAttribute(
                "choices",
                chosen.map(f -> Docket.choices(weighing.ways(job, f), weighing.rate()))
                        .orElse(List.of()));
        model.addAttribute("around", Around.of(lines, chosen.map(Finding::key).orElse("")));
        model.addAttribute("known", known(job));
        model.addAttribute("earlier", job.job().earlierWork());
        model.addAttribute("parts", sheet.homes());
        model.addAttribute("plateIsNoPart", sheet.part(Board.PLATE).isEmpty());
        model.addAttribute(
                "leftOut",
                job.job().lives().leftOut().keySet().stream()
                        .flatMap(p -> sheet.part(p).stream())
                        .toList());
        model.addAttribute("suspicions", job.job().suspicions().open());
        model.addAttribute("places", Place.Kind.values());
        model.addAttribute("plays", Felt.Play.values());
        model.addAttribute("feels", Felt.Feel.values());
        model.addAttribute("grades", Grade.values());
        model.addAttribute("defects", Defect.values());
        model.addAttribute("origins", Origin.values());
        model.addAttribute("decisions", Decision.values());
        model.addAttribute("fates", OldPart.Fate.values());
        model.addAttribute("copyOrigins", CopyAtHand.Origin.values());
        return "inspection/findings";
    }

    /** The findings before and after the chosen one; nothing beyond the ends. */
    record Around(@Nullable String before, @Nullable String after) {
        static Around of(List<Docket.Line> lines, String chosen) {
            for (int i = 0; i < lines.size(); i++) {
                if (lines.get(i).finding().key().equals(chosen)) {
                    return new Around(
                            i == 0 ? null : lines.get(i - 1).finding().key(),
                            i + 1 == lines.size()
                                    ? null
                                    : lines.get(i + 1).finding().key());
                }
            }
            return new Around(null, null);
        }
    }

    /** Where this calibre is weak: what its sheet says and how often it was found here, part by part, the worst first. */
    private List<String> known(OpenJob job) {
        CalibreSheet sheet = job.movement();
        FoundBefore found = learnt.foundBefore(job);
        Map<String, String> lines = new LinkedHashMap<>();
        found.parts()
                .forEach(p -> sheet.part(p)
                        .ifPresent(part ->
                                lines.put(p, found.on(p).map(w -> w + " here").orElse(""))));
        sheet.lore().weakPoints().stream()
                .filter(w -> w.part() != null)
                .forEach(w -> lines.merge(String.valueOf(w.part()), w.words(), (a, b) -> b + "; " + a));
        return lines.entrySet().stream()
                .flatMap(e -> sheet.part(e.getKey()).stream().map(p -> p.name() + ": " + e.getValue()))
                .toList();
    }

    @PostMapping("/jobs/{number}/findings")
    String raise(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(defaultValue = "") String part,
            @RequestParam Grade grade,
            @RequestParam Defect defect,
            @RequestParam Origin origin,
            @RequestParam String words,
            @RequestParam(required = false) Place.@Nullable Kind placeKind,
            @RequestParam(defaultValue = "") String placeName) {
        boolean plate = part.equals(Board.PLATE)
                && workshop.load(number).movement().part(part).isEmpty();
        if (plate && placeKind == null) {
            throw new MendableException(
                    "Where on the main plate is not said", "Nothing was recorded.", "Choose the kind of place.");
        }
        Place place = placeKind == null || part.isEmpty() ? null : new Place(placeKind, shortened(placeName));
        workshop.append(
                number,
                seq,
                new FindingRaised(part.isEmpty() || plate ? null : part, grade, defect, origin, words.strip(), place));
        return back(number);
    }

    private static String shortened(String name) {
        String all = name.strip();
        return all.substring(0, Math.min(all.length(), Place.LONGEST));
    }

    @PostMapping("/jobs/{number}/suspicions")
    String suspect(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(defaultValue = "") String part,
            @RequestParam String words,
            @RequestParam(defaultValue = "findings") String from) {
        actions.suspect(number, seq, part, words.strip());
        return "redirect:/jobs/" + number + "/" + (Rooms.leadsTo(from) ? from : "findings");
    }

    @PostMapping("/jobs/{number}/suspicions/{at}")
    String settle(
            @PathVariable int number,
            @PathVariable int at,
            @RequestParam int seq,
            @RequestParam SuspicionSettled.Outcome outcome,
            @RequestParam(defaultValue = "") String words) {
        actions.settle(number, seq, at, outcome, words.strip());
        return back(number);
    }

    @PostMapping("/jobs/{number}/felt")
    String felt(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam String part,
            @RequestParam Felt.Play what,
            @RequestParam Felt.Feel feel) {
        actions.felt(number, seq, new Felt(part, what, feel));
        return back(number);
    }

    @PostMapping("/jobs/{number}/findings/{key}/decision")
    String decide(
            @PathVariable int number,
            @PathVariable String key,
            @RequestParam int seq,
            @RequestParam Decision decision,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String source) {
        actions.decide(number, seq, key, decision, words.strip(), source.strip());
        return "redirect:/jobs/" + number + "/findings?finding=" + key;
    }

    @PostMapping("/jobs/{number}/findings/{key}/cause")
    String cause(
            @PathVariable int number,
            @PathVariable String key,
            @RequestParam int seq,
            @RequestParam(defaultValue = "") String cause) {
        actions.cause(number, seq, key, cause);
        return "redirect:/jobs/" + number + "/findings?finding=" + key;
    }

    @PostMapping("/jobs/{number}/findings/{key}/worked")
    String worked(
            @PathVariable int number,
            @PathVariable String key,
            @RequestParam int seq,
            @RequestParam boolean done,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String size,
            @RequestParam(required = false) OldPart.@Nullable Fate old) {
        String kept = size.substring(0, Math.min(size.length(), FindingWorked.LONGEST_SIZE));
        actions.worked(
                number,
                seq,
                new FindingWorked(
                        key,
                        done ? FindingWorked.Outcome.DONE : FindingWorked.Outcome.FAILED,
                        words.strip(),
                        kept,
                        old));
        return back(number);
    }

    @PostMapping("/jobs/{number}/copies")
    String copy(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam String part,
            @RequestParam CopyAtHand.Origin origin,
            @RequestParam(defaultValue = "") String source,
            @RequestParam(defaultValue = "") String words) {
        actions.copy(number, seq, new CopyAtHand(part, origin, source.strip(), words.strip()));
        return back(number);
    }

    @PostMapping("/jobs/{number}/left-out")
    String leaveOut(
            @PathVariable int number, @RequestParam int seq, @RequestParam String part, @RequestParam String reason) {
        actions.leaveOut(number, seq, part, reason.strip());
        return back(number);
    }

    @PostMapping("/jobs/{number}/fit-after-all")
    String fit(@PathVariable int number, @RequestParam int seq, @RequestParam String part) {
        actions.fitAfterAll(number, seq, part);
        return back(number);
    }

    private static String back(int number) {
        return "redirect:/jobs/" + number + "/findings";
    }
}
