package escrel.web.cases;

import escrel.core.MendableException;
import escrel.core.calibre.Hazard;
import escrel.core.learning.Vocabulary;
import escrel.core.watchcase.CaseCheck;
import escrel.core.watchcase.CasePart;
import escrel.core.watchcase.CaseSheet;
import escrel.core.watchcase.CaseSheet.Crown;
import escrel.core.watchcase.Opens;
import escrel.web.plan.CaseDrawing;
import escrel.web.storage.CaseJson;
import escrel.web.storage.CaseSheetMapper;
import escrel.web.storage.CaseSheets;
import escrel.web.storage.Json;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Case sheets: looked at as a section, changed part by part on it. */
@Controller
public class CasesController {
    private static final int LARGEST_FILE = 1 << 20;
    /** Words for a part nobody has made yet. */
    static final String NEW = "new";

    private final CaseSheets cases;

    CasesController(CaseSheets cases) {
        this.cases = cases;
    }

    /** A case in the list, drawn small. */
    record Row(CaseSheetMapper.CaseRow row, CaseSheet sheet, CaseDrawing drawing) {}

    @GetMapping("/cases")
    String all(Model model) {
        List<Row> rows = new ArrayList<>();
        for (CaseSheetMapper.CaseRow row : cases.all()) {
            CaseSheet sheet = cases.find(row.id(), row.version()).orElseThrow();
            rows.add(new Row(row, sheet, CaseDrawing.of(sheet, CaseDrawing.State.whole(null))));
        }
        model.addAttribute("cases", rows);
        model.addAttribute("waiting", cases.waiting());
        model.addAttribute("ways", Opens.values());
        return "cases/cases";
    }

    @GetMapping("/cases/{id}")
    String one(@PathVariable String id, @RequestParam(defaultValue = "") String part, Model model) {
        CaseSheet sheet = require(id);
        return page(sheet, cases.latestVersion(id), part, false, model);
    }

    /** A version that came with a job from elsewhere, to be looked at before it is accepted. */
    @GetMapping("/cases/{id}/versions/{version}")
    String version(@PathVariable String id, @PathVariable int version, Model model) {
        CaseSheet sheet = cases.find(id, version).orElseThrow(() -> unknown(id));
        return page(sheet, version, "", true, model);
    }

    private String page(CaseSheet sheet, int version, String part, boolean waits, Model model) {
        CasePart chosen = sheet.part(part).orElse(null);
        model.addAttribute("sheet", sheet);
        model.addAttribute("version", version);
        model.addAttribute("waits", waits);
        model.addAttribute("adds", part.equals(NEW) && chosen == null);
        model.addAttribute("chosen", chosen);
        model.addAttribute("flies", chosen != null && chosen.part().has(Hazard.FLIES));
        model.addAttribute("traps", String.join("\n", sheet.traps()));
        model.addAttribute(
                "drawing", CaseDrawing.of(sheet, CaseDrawing.State.whole(chosen == null ? null : chosen.code())));
        model.addAttribute("order", CaseCheck.order(sheet));
        model.addAttribute("kinds", CasePart.Kind.values());
        model.addAttribute("faces", CasePart.Face.values());
        model.addAttribute("insides", CasePart.Inside.values());
        model.addAttribute("ways", Opens.values());
        List<CasePart> shown = new ArrayList<>(sheet.parts());
        int at = chosen == null ? -1 : shown.indexOf(chosen);
        model.addAttribute(
                "before",
                shown.isEmpty()
                        ? NEW
                        : shown.get(at <= 0 ? shown.size() - 1 : at - 1).code());
        model.addAttribute(
                "after",
                shown.isEmpty() ? NEW : shown.get((at + 1) % shown.size()).code());
        return "cases/case";
    }

    @GetMapping(value = "/cases/{id}/case.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String export(@PathVariable String id) {
        return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(CaseJson.write(require(id)));
    }

    @PostMapping("/cases/import")
    String take(@RequestParam MultipartFile sheet, RedirectAttributes flash) throws IOException {
        if (sheet.getSize() > LARGEST_FILE) {
            throw refuse("A case sheet may have 1 MB");
        }
        CaseSheet taken = CaseJson.read(new String(sheet.getBytes(), StandardCharsets.UTF_8));
        int version = cases.keep(taken);
        flash.addFlashAttribute("said", taken.name() + " is kept as version " + version);
        return "redirect:/cases/" + taken.id();
    }

    @PostMapping("/cases/new")
    @Transactional
    public String begin(@RequestParam String maker, @RequestParam String reference, @RequestParam Opens opens) {
        String id = Vocabulary.codeFor(maker + " " + reference, Set.of());
        if (cases.latestVersion(id) > 0) {
            throw refuse("There is a case “" + (maker + " " + reference).strip() + "” already");
        }
        CaseSheet plain = CaseSheet.plain(opens).called(id, maker.strip(), reference.strip());
        keep(plain);
        return "redirect:/cases/" + id;
    }

    /** Changes a part on the drawing, or adds one. */
    @PostMapping("/cases/{id}/part")
    @Transactional
    public String part(
            @PathVariable String id, @RequestParam int from, @ModelAttribute CaseForm form, RedirectAttributes flash) {
        CaseSheet sheet = unchanged(id, from);
        CasePart part = form.on(sheet);
        keep(sheet.withPart(part));
        flash.addFlashAttribute("said", part.part().name() + " is kept");
        return "redirect:/cases/" + id + "?part=" + part.code();
    }

    /** Moves a part among the layers of its face, or takes it off the sheet. */
    @PostMapping("/cases/{id}/place")
    @Transactional
    public String place(
            @PathVariable String id, @RequestParam int from, @RequestParam String part, @RequestParam Move move) {
        change(id, from, sheet -> switch (move) {
            case OUTWARDS -> sheet.moved(part, true);
            case INWARDS -> sheet.moved(part, false);
            case REMOVED -> sheet.without(part);
        });
        return "redirect:/cases/" + id + (move == Move.REMOVED ? "" : "?part=" + part);
    }

    /** What is done with a part's place. */
    enum Move {
        OUTWARDS,
        INWARDS,
        REMOVED
    }

    /** What is said of the case as a whole. */
    @PostMapping("/cases/{id}/facts")
    @Transactional
    public String facts(
            @PathVariable String id,
            @RequestParam int from,
            @RequestParam Opens opens,
            @RequestParam Map<String, String> form,
            @RequestParam(defaultValue = "") String traps) {
        List<Crown> crowns = new ArrayList<>();
        for (int i = 0; form.containsKey("crown" + i); i++) {
            String place = String.valueOf(form.get("crown" + i)).strip();
            String screwed = form.getOrDefault("screwed" + i, "");
            if (!place.isEmpty()) {
                crowns.add(new Crown(place, screwed.isEmpty() ? null : Boolean.valueOf(screwed)));
            }
        }
        List<String> bites = Arrays.stream(traps.split("\\R"))
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .toList();
        change(id, from, sheet -> sheet.opening(opens).withCrowns(crowns).withTraps(bites));
        return "redirect:/cases/" + id;
    }

    @PostMapping("/cases/{id}/accept")
    String accept(@PathVariable String id, @RequestParam int version, RedirectAttributes flash) {
        cases.find(id, version).orElseThrow(() -> unknown(id));
        flash.addFlashAttribute("said", "The case is used now, as version " + cases.accept(id, version));
        return "redirect:/cases/" + id;
    }

    @PostMapping("/cases/{id}/put-away")
    String putAway(@PathVariable String id, @RequestParam int version, RedirectAttributes flash) {
        cases.putAway(id, version);
        flash.addFlashAttribute("said", "The case is put away; its jobs keep it");
        return "redirect:/cases";
    }

    private void change(String id, int from, UnaryOperator<CaseSheet> how) {
        keep(how.apply(unchanged(id, from)));
    }

    private CaseSheet unchanged(String id, int from) {
        if (from != cases.latestVersion(id)) {
            throw new MendableException(
                    "The case was changed in another window since this page was made",
                    "Nothing was changed by this.",
                    "Go back, reload the page and say it again.");
        }
        return require(id);
    }

    private void keep(CaseSheet sheet) {
        List<String> faults = CaseCheck.faultsOf(sheet);
        if (!faults.isEmpty()) {
            throw refuse(String.join("; ", faults.subList(0, Math.min(6, faults.size()))));
        }
        cases.keep(sheet);
    }

    private CaseSheet require(String id) {
        return cases.latest(id).orElseThrow(() -> unknown(id));
    }

    private static MendableException unknown(@Nullable String id) {
        return refuse("There is no case “" + id + "”");
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what, "Nothing was changed; the cases here are as they were.", "Correct it and try again.");
    }
}
