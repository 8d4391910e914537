package escrel.web.arrival;

import escrel.core.MendableException;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.outside.Outside;
import escrel.core.outside.OutsidePiece;
import escrel.core.outside.OutsideSeen;
import escrel.core.outside.ParcelCame;
import escrel.core.outside.ParcelItem;
import escrel.core.parts.FindingRaised;
import escrel.core.service.PhotoAdded;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The parcel ticked off and the outside looked at, piece by piece, on a drawn watch. */
@Controller
class OutsideController {
    private static final int LONGEST = 1000;

    private final Workshop workshop;

    OutsideController(Workshop workshop) {
        this.workshop = workshop;
    }

    /**
     * A piece as drawn and listed.
     *
     * @param style classes for its look
     * @param words what it is and how it looks
     * @param found what was found on it, in words; empty where nothing was
     * @param photos numbers of those that show it
     */
    record Seen(OutsidePiece piece, String style, String mark, String words, String found, List<Integer> photos) {}

    @GetMapping("/jobs/{number}/outside")
    String outside(
            @PathVariable int number,
            @RequestParam(required = false) @Nullable OutsidePiece piece,
            @RequestParam(required = false) @Nullable Grade grade,
            @RequestParam(defaultValue = "") String panel,
            Model model) {
        OpenJob job = workshop.load(number);
        Outside outside = Outside.of(job.history());
        OutsidePiece first = outside.left().stream().findFirst().orElse(null);
        OutsidePiece now = piece != null ? piece : first;
        boolean parcel =
                panel.equals("parcel") || piece == null && outside.parcel().isEmpty() && !panel.equals("rest");
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.ARRIVAL));
        model.addAttribute("outside", outside);
        model.addAttribute(
                "pieces",
                Arrays.stream(OutsidePiece.values())
                        .map(p -> seen(job, outside, p, !parcel && p == now))
                        .toList());
        model.addAttribute("now", parcel ? null : now);
        model.addAttribute("grade", grade != null && grade.needsDecision() ? grade : null);
        model.addAttribute("panel", parcel ? "parcel" : panel);
        model.addAttribute("items", ParcelItem.values());
        model.addAttribute("came", outside.parcel().orElse(null));
        model.addAttribute("triage", job.job().triage());
        return "arrival/outside";
    }

    private static Seen seen(OpenJob job, Outside outside, OutsidePiece piece, boolean chosen) {
        String state = outside.hasNone(piece)
                ? "o-none"
                : outside.grade(piece).map(OutsideController::style).orElse("o-open");
        String words = outside.hasNone(piece)
                ? piece.words() + ": none on this watch"
                : outside.grade(piece)
                        .map(g -> piece.words() + ": " + g.mark() + ", " + StepKind.said(g))
                        .orElse(piece.words() + ": not looked at");
        String mark = outside.hasNone(piece)
                ? "–"
                : outside.grade(piece).map(Grade::mark).orElse("");
        return new Seen(piece, state + (chosen ? " o-now" : ""), mark, words, found(job, piece), photos(job, piece));
    }

    private static String found(OpenJob job, OutsidePiece piece) {
        return job.job().findings().all().stream()
                .filter(f -> f.part() == null && piece.isNamedIn(f.words()))
                .reduce((earlier, later) -> later)
                .map(f -> StepKind.said(f.defect())
                        + f.words().substring(piece.words().length()))
                .orElse("");
    }

    private static List<Integer> photos(OpenJob job, OutsidePiece piece) {
        return job.history()
                .all(PhotoAdded.class)
                .filter(p -> p.part() == null && piece.isNamedIn(p.caption()))
                .map(PhotoAdded::photo)
                .toList();
    }

    private static String style(Grade grade) {
        return switch (grade) {
            case AS_NEW, GOOD -> "o-good";
            case WORN -> "o-worn";
            case MEND -> "o-mend";
            case BROKEN, MISSING -> "o-broken";
            case NOT_JUDGED -> "o-open";
        };
    }

    /** One piece; a bad one becomes a finding with what is wrong, in the same act. */
    @PostMapping("/jobs/{number}/outside")
    String look(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam OutsidePiece piece,
            @RequestParam(required = false) @Nullable Grade grade,
            @RequestParam(required = false) @Nullable Defect defect,
            @RequestParam(defaultValue = "") String words) {
        List<Step> act = new ArrayList<>(List.of(new OutsideSeen(List.of(piece), grade)));
        if (grade != null && grade.needsDecision()) {
            Defect what = grade == Grade.MISSING ? Defect.ABSENT : defect;
            if (what == null) {
                throw refuse("What is wrong with the " + piece.words() + " is not said", "Choose it from the list.");
            }
            String kept = words.strip();
            String said = piece.words() + (kept.isEmpty() ? "" : ", " + kept);
            act.add(new FindingRaised(
                    null, grade, what, Origin.UNKNOWN, said.substring(0, Math.min(said.length(), LONGEST))));
        }
        workshop.append(number, seq, act);
        return "redirect:/jobs/" + number + "/outside";
    }

    /** Everything nobody looked at yet is good: one act that names them. */
    @PostMapping("/jobs/{number}/outside/rest")
    String rest(@PathVariable int number, @RequestParam int seq) {
        List<OutsidePiece> left = Outside.of(workshop.load(number).history()).left();
        if (left.isEmpty()) {
            throw refuse("Everything was looked at", "Choose a piece to look at it again.");
        }
        workshop.append(number, seq, new OutsideSeen(left, Grade.GOOD));
        return "redirect:/jobs/" + number + "/outside";
    }

    @PostMapping("/jobs/{number}/parcel")
    String parcel(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(required = false) @Nullable List<ParcelItem> item,
            @RequestParam(defaultValue = "") String words) {
        try {
            workshop.append(number, seq, new ParcelCame(item == null ? List.of() : item, words));
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()), "Tick what came, or say it.");
        }
        return "redirect:/jobs/" + number + "/outside";
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded.", todo);
    }
}
