package escrel.web.arrival;

import escrel.core.MendableException;
import escrel.core.learning.PartNamed;
import escrel.core.marks.MarkSeen;
import escrel.core.outside.OutsidePiece;
import escrel.core.school.School;
import escrel.core.service.CalibreBound;
import escrel.core.service.Noted;
import escrel.core.service.PhotoAdded;
import escrel.core.service.Stance;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.core.service.WorkAgreed;
import escrel.core.watchcase.Opens;
import escrel.web.job.Habits;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import escrel.web.photos.Photos;
import escrel.web.storage.CaseSheets;
import escrel.web.storage.Sheets;
import escrel.web.storage.WorkshopLogs;
import jakarta.validation.Valid;
import java.io.IOException;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.validation.BindException;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** Opens jobs and shows how the watch came. */
@Controller
class ArrivalController {
    private final WorkshopLogs log;
    private final Workshop workshop;
    private final Sheets sheets;
    private final Photos photos;
    private final Habits habits;
    private final CaseActions cases;
    private final CaseSheets caseSheets;

    ArrivalController(
            Workshop workshop,
            Sheets sheets,
            Photos photos,
            Habits habits,
            CaseActions cases,
            CaseSheets caseSheets,
            WorkshopLogs log) {
        this.log = log;
        this.cases = cases;
        this.caseSheets = caseSheets;
        this.workshop = workshop;
        this.sheets = sheets;
        this.photos = photos;
        this.habits = habits;
    }

    @GetMapping("/jobs/new")
    ModelAndView empty() {
        Stance usual = habits.of(null)
                .of(School.COSMETICS)
                .map(c -> Stance.valueOf(c.name()))
                .orElse(Stance.SYMPATHETIC);
        return blank(ArrivalForm.empty(usual));
    }

    @PostMapping("/jobs")
    ModelAndView open(@Valid @ModelAttribute("form") ArrivalForm form, BindingResult errors) throws BindException {
        requireBound(errors);
        if (errors.hasErrors()) {
            ModelAndView page = blank(form);
            page.addAllObjects(errors.getModel());
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return page;
        }
        return new ModelAndView("redirect:/jobs/" + opened(form) + "/arrival");
    }

    private int opened(ArrivalForm form) {
        try {
            return workshop.open(form.jobIdentity(), form.arrival(), form.agreed(), ofCase(form));
        } catch (DataIntegrityViolationException e) {
            // sent twice at the same moment: by now the other is there to be found
            return workshop.open(form.jobIdentity(), form.arrival(), form.agreed(), ofCase(form));
        }
    }

    private List<Step> ofCase(ArrivalForm form) {
        return cases.onArrival(form.arrival(), form.opens(), form.crown());
    }

    /** Of what no field of ours sends there is no form to show again. */
    private static void requireBound(BindingResult errors) throws BindException {
        if (errors.getTarget() == null) {
            throw new BindException(errors);
        }
    }

    private static ModelAndView blank(ArrivalForm form) {
        ModelAndView page = new ModelAndView("arrival/new");
        page.addObject("form", form);
        page.addObject("stances", Stance.values());
        page.addObject("works", WorkAgreed.Work.values());
        page.addObject("ways", Opens.values());
        return page;
    }

    @GetMapping("/jobs/{number}")
    String job(@PathVariable int number) {
        return "redirect:/jobs/" + number + "/arrival";
    }

    @GetMapping("/jobs/{number}/arrival")
    String arrival(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("form", ArrivalForm.of(job.arrival()));
        return page(job, model);
    }

    private String page(OpenJob job, Model model) {
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.ARRIVAL));
        model.addAttribute("stances", Stance.values());
        model.addAttribute("works", WorkAgreed.Work.values());
        model.addAttribute("agreed", job.job().agreed().orElse(null));
        model.addAttribute("opened", job.openedAt());
        model.addAttribute("sheets", sheets.all());
        model.addAttribute("bound", job.sheet());
        model.addAttribute(
                "variant",
                job.history()
                        .last(CalibreBound.class)
                        .map(CalibreBound::variant)
                        .orElse(""));
        model.addAttribute("version", job.sheetVersion());
        model.addAttribute("suspicions", job.job().suspicions().open());
        model.addAttribute("parts", job.movement().homes());
        model.addAttribute("marks", job.job().marks());
        model.addAttribute(
                "years",
                log.load().years().of(job.arrival().maker(), job.job().marks().all()));
        model.addAttribute("markKinds", MarkSeen.Kind.values());
        model.addAttribute("markOns", MarkSeen.On.values());
        model.addAttribute("case", CaseView.of(job, caseSheets.all()));
        model.addAttribute("photos", job.history().all(PhotoAdded.class).toList());
        model.addAttribute(
                "notes",
                job.history().counting().stream()
                        .filter(e -> e.step() instanceof Noted note && note.part() == null)
                        .map(e -> new Note(
                                e.at().atZone(ZoneId.systemDefault()).toOffsetDateTime(), ((Noted) e.step()).words()))
                        .toList());
        return "arrival/arrival";
    }

    @PostMapping("/jobs/{number}/arrival")
    ModelAndView correct(
            @PathVariable int number,
            @RequestParam int seq,
            @Valid @ModelAttribute("form") ArrivalForm form,
            BindingResult errors,
            Model model)
            throws BindException {
        requireBound(errors);
        if (errors.hasErrors()) {
            ModelAndView page = new ModelAndView(page(workshop.load(number), model));
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return page;
        }
        workshop.append(number, seq, form.arrival());
        return new ModelAndView("redirect:/jobs/" + number + "/arrival");
    }

    @PostMapping("/jobs/{number}/calibre")
    String bind(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam String calibre,
            @RequestParam(defaultValue = "") String variant) {
        int version = sheets.latestVersion(calibre);
        if (version == 0) {
            throw new MendableException(
                    "There is no sheet “" + calibre + "”",
                    "The job keeps the calibre it had.",
                    "Choose a sheet from the list, or take one in on the calibres page.");
        }
        if (!workshop.load(number).recorded().all(PartNamed.class).toList().isEmpty()) {
            // parts with working names: which of them is which is asked first
            return "redirect:/jobs/" + number + "/bind?calibre=" + calibre;
        }
        boolean has = sheets.latest(calibre).stream()
                .flatMap(s -> s.lore().variants().stream())
                .anyMatch(v -> v.name().equals(variant));
        // one of another sheet was chosen before that one was left
        workshop.append(
                number, seq, new CalibreBound(calibre, version, has ? variant : "", CalibreBound.As.CALIBRE, Map.of()));
        return "redirect:/jobs/" + number + "/arrival";
    }

    @PostMapping("/jobs/{number}/case")
    String bindCase(@PathVariable int number, @RequestParam int seq, @RequestParam String sheet) {
        cases.bind(number, seq, sheet);
        return "redirect:/jobs/" + number + "/arrival";
    }

    @PostMapping("/jobs/{number}/case/said")
    String sayOfCase(
            @PathVariable int number, @RequestParam int seq, @RequestParam String opens, @RequestParam String crown) {
        cases.say(number, seq, opens, crown);
        return "redirect:/jobs/" + number + "/arrival";
    }

    /** What is to be done is agreed anew; the latest counts. */
    @PostMapping("/jobs/{number}/work")
    String agree(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam WorkAgreed.Work work,
            @RequestParam(defaultValue = "") String words) {
        if (work.isLeftAlone() && words.isBlank()) {
            throw new MendableException(
                    "“" + work.words() + "” needs a reason",
                    "Nothing was recorded.",
                    "Say why in some words; the report prints it.");
        }
        workshop.append(number, seq, WorkAgreed.today(work, words.strip()));
        return "redirect:/jobs/" + number + "/arrival";
    }

    /** A note on the watch as a whole. */
    record Note(OffsetDateTime at, String words) {}

    @PostMapping("/jobs/{number}/notes")
    String note(@PathVariable int number, @RequestParam String words) {
        if (words.isBlank() || words.length() > 1000) {
            throw new MendableException(
                    "A note has between 1 and 1000 characters",
                    "Nothing was recorded.",
                    "Say it in some words, not too many.");
        }
        workshop.add(number, new Noted(null, words.strip()));
        return "redirect:/jobs/" + number + "/arrival";
    }

    /**
     * @param piece of the outside that it shows, where it was taken there; its name begins the caption
     */
    @PostMapping("/jobs/{number}/photos")
    @Transactional
    public String photo(
            @PathVariable int number,
            @RequestParam MultipartFile picture,
            @RequestParam(defaultValue = "") String caption,
            @RequestParam(required = false) @Nullable OutsidePiece piece)
            throws IOException {
        int photo = photos.keep(number, picture.getInputStream());
        String words = piece == null || piece.isNamedIn(caption.strip())
                ? caption.strip()
                : (piece.words() + " " + caption.strip()).strip();
        workshop.add(number, new PhotoAdded(photo, null, words));
        return "redirect:/jobs/" + number + (piece == null ? "/arrival" : "/outside?piece=" + piece);
    }
}
