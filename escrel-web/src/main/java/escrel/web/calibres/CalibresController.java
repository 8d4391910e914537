package escrel.web.calibres;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Side;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.web.plan.PlanDrawing;
import escrel.web.storage.Json;
import escrel.web.storage.SheetJson;
import escrel.web.storage.Sheets;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The library of sheets. */
@Controller
class CalibresController {
    private final Sheets sheets;

    CalibresController(Sheets sheets) {
        this.sheets = sheets;
    }

    @GetMapping("/calibres")
    String all(Model model) {
        model.addAttribute("sheets", sheets.all());
        return "calibres/calibres";
    }

    @GetMapping("/calibres/{id}")
    String one(@PathVariable String id, @RequestParam(required = false) @Nullable Side side, Model model) {
        CalibreSheet sheet = require(id);
        Side up = side == null ? Side.TRAIN : side;
        TeardownState whole = TeardownState.of(sheet, JobHistory.empty());
        model.addAttribute("sheet", sheet);
        model.addAttribute("version", sheets.latestVersion(id));
        model.addAttribute("side", up);
        model.addAttribute(
                "plan",
                PlanDrawing.of(sheet, up, new PlanDrawing.State(c -> hidden(sheet, c), Set.of(), null, Set.of())));
        model.addAttribute("order", TeardownOrder.from(whole, Schools.DEFAULT));
        return "calibres/calibre";
    }

    /** Dial and hands would hide what the sheet is about. */
    private static boolean hidden(CalibreSheet sheet, String code) {
        return sheet.requirePart(code).group() == Group.DIAL_AND_HANDS;
    }

    @GetMapping(value = "/calibres/{id}/sheet.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String export(@PathVariable String id) {
        return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(SheetJson.write(require(id)));
    }

    private CalibreSheet require(String id) {
        return sheets.latest(id)
                .orElseThrow(() -> new MendableException(
                        "There is no sheet “" + id + "”",
                        "Nothing was changed.",
                        "Choose one from the list of calibres."));
    }

    @PostMapping("/calibres/import")
    String take(@RequestParam MultipartFile sheet, RedirectAttributes flash) throws IOException {
        CalibreSheet read = SheetJson.read(new String(sheet.getBytes(), StandardCharsets.UTF_8));
        int version = sheets.keep(read);
        flash.addFlashAttribute("said", read.name() + " is kept as version " + version);
        return "redirect:/calibres/" + read.id();
    }
}
