package escrel.web.calibres;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.job.Job;
import escrel.core.service.JobHistory;
import escrel.web.job.Habits;
import escrel.web.plan.PlanDrawing;
import escrel.web.plan.SheetMarks;
import escrel.web.storage.Sheets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A sheet changed on its plan: a part, a screw's hole or an oil point is chosen there; layers are leafed away. */
@Controller
public class PlanEditController {
    private final Sheets sheets;
    private final Library library;
    private final Habits habits;

    PlanEditController(Sheets sheets, Library library, Habits habits) {
        this.sheets = sheets;
        this.library = library;
        this.habits = habits;
    }

    /**
     * What is chosen: one of the three, or nothing.
     *
     * @param mark as the plan calls it
     */
    record Chosen(
            String mark,
            @Nullable Part part,
            @Nullable ScrewPlace screw,
            @Nullable OilPoint oil,
            List<Hold> holds) {}

    @GetMapping("/calibres/{id}/plan")
    String plan(
            @PathVariable String id,
            @RequestParam(required = false) @Nullable Side side,
            @RequestParam(defaultValue = "0") int off,
            @RequestParam(defaultValue = "") String part,
            Model model) {
        CalibreSheet sheet = require(id);
        Side up = side == null || side == Side.IN_HAND ? Side.TRAIN : side;
        List<String> order = ofSide(sheet, up, id);
        int leafed = Math.max(0, Math.min(off, order.size()));
        Set<String> gone = new HashSet<>(order.subList(0, leafed));
        Chosen chosen = chosen(sheet, part);
        String selected = chosen.part() == null ? null : chosen.part().code();
        model.addAttribute("sheet", sheet);
        model.addAttribute("version", sheets.latestVersion(id));
        model.addAttribute("side", up);
        model.addAttribute("off", leafed);
        model.addAttribute("layers", order.size());
        model.addAttribute("chosen", chosen);
        model.addAttribute(
                "plan", PlanDrawing.of(sheet, up, new PlanDrawing.State(gone::contains, Set.of(), selected, Set.of())));
        model.addAttribute("marks", SheetMarks.of(sheet, up, gone, part));
        List<String> marks = marks(sheet, up, gone);
        int at = marks.indexOf(part);
        model.addAttribute("before", marks.isEmpty() ? "" : marks.get(at <= 0 ? marks.size() - 1 : at - 1));
        model.addAttribute("after", marks.isEmpty() ? "" : marks.get((at + 1) % marks.size()));
        model.addAttribute("traits", PlanForm.MARKS);
        model.addAttribute("lengths", ScrewPlace.LengthClass.values());
        model.addAttribute("heads", ScrewPlace.Head.values());
        model.addAttribute("threads", ScrewPlace.Thread.values());
        model.addAttribute("homes", ScrewPlace.Home.values());
        model.addAttribute("finishes", ScrewPlace.Finish.values());
        model.addAttribute("lubricants", LubricantClass.values());
        return "calibres/plan";
    }

    /** Codes of the parts of a side, in the order in which they come off. */
    private List<String> ofSide(CalibreSheet sheet, Side side, String id) {
        return Job.of(JobHistory.empty(), sheet, habits.of(id)).wayDown().remaining().stream()
                .filter(p -> p.side() == side
                        && p.shape() != null
                        && sheet.part(p.code()).isPresent())
                .map(Part::code)
                .toList();
    }

    private static Chosen chosen(CalibreSheet sheet, String mark) {
        if (mark.startsWith(SheetMarks.SCREW)) {
            String code = mark.substring(SheetMarks.SCREW.length());
            ScrewPlace screw = sheet.screws().stream()
                    .filter(s -> s.code().equals(code))
                    .findFirst()
                    .orElse(null);
            return new Chosen(mark, null, screw, null, List.of());
        }
        if (mark.startsWith(SheetMarks.OIL)) {
            OilPoint oil =
                    sheet.oilPoint(mark.substring(SheetMarks.OIL.length())).orElse(null);
            return new Chosen(mark, null, null, oil, List.of());
        }
        return new Chosen(mark, sheet.part(mark).orElse(null), null, null, sheet.holdsOn(mark));
    }

    /** What can be chosen on a side, part by part with its screws and points. */
    private static List<String> marks(CalibreSheet sheet, Side side, Set<String> gone) {
        List<String> marks = new ArrayList<>();
        for (Part part : sheet.parts()) {
            if (part.side() == side && !gone.contains(part.code())) {
                marks.add(part.code());
                sheet.screwsOf(part.code()).forEach(s -> marks.add(SheetMarks.SCREW + s.code()));
                sheet.oilPoints().stream()
                        .filter(p -> p.part().equals(part.code()) && p.side() == side)
                        .forEach(p -> marks.add(SheetMarks.OIL + p.code()));
            }
        }
        return marks;
    }

    /** Keeps what was changed on the chosen mark. */
    @PostMapping("/calibres/{id}/plan/{what:part|screw|oil|new-oil|new-screw}")
    @Transactional
    public String change(
            @PathVariable String id,
            @PathVariable String what,
            @RequestParam int from,
            @RequestParam Side side,
            @RequestParam int off,
            @ModelAttribute PlanForm form,
            RedirectAttributes flash) {
        if (from != sheets.latestVersion(id)) {
            throw new MendableException(
                    "The sheet was changed in another window since this page was made",
                    "Nothing was changed by this.",
                    "Go back, reload the page and say it again.");
        }
        CalibreSheet sheet = require(id);
        String mark;
        if (what.startsWith("new-")) {
            mark = added(sheet, what.equals("new-oil"), side, form);
        } else if (what.equals("screw")) {
            mark = SheetMarks.SCREW + form.code();
            library.keep(form.screw(sheet));
        } else if (what.equals("oil")) {
            mark = SheetMarks.OIL + form.code();
            library.keep(form.oil(sheet));
        } else {
            mark = form.code();
            library.keep(form.part(sheet));
        }
        flash.addFlashAttribute("said", "Kept as version " + sheets.latestVersion(id));
        return "redirect:/calibres/" + id + "/plan?side=" + side + "&off=" + off + "&part=" + mark;
    }

    /** A point drawn anew belongs to the part that was chosen; what it is called on the plan. */
    private String added(CalibreSheet sheet, boolean oil, Side side, PlanForm form) {
        if (sheet.part(form.code()).isEmpty() || form.x() == null || form.y() == null) {
            throw new MendableException(
                    "Where it lies, or on which part, is not said",
                    "Nothing was changed.",
                    "Choose a part on the plan, then point at the place.");
        }
        String code = free(sheet, form.code() + (oil ? "-oil-" : "-screw-"));
        library.keep(oil ? form.newOil(sheet, side, code) : form.newScrew(sheet, code));
        return (oil ? SheetMarks.OIL : SheetMarks.SCREW) + code;
    }

    private static String free(CalibreSheet sheet, String begin) {
        int number = 1;
        while (isTaken(sheet, begin + number)) {
            number++;
        }
        return begin + number;
    }

    private static boolean isTaken(CalibreSheet sheet, String code) {
        return sheet.oilPoint(code).isPresent()
                || sheet.screws().stream().anyMatch(s -> s.code().equals(code));
    }

    private CalibreSheet require(String id) {
        return sheets.latest(id)
                .orElseThrow(() -> new MendableException(
                        "There is no calibre “" + id + "”", "Nothing was changed.", "Choose one from the list."));
    }
}
