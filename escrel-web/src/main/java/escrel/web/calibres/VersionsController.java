package escrel.web.calibres;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.web.storage.SheetMapper;
import escrel.web.storage.Sheets;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The versions of a sheet: looked at beside the one that is used before anything is changed. */
@Controller
class VersionsController {
    private final Sheets sheets;
    private final SheetMapper mapper;
    private final Library library;

    VersionsController(Sheets sheets, SheetMapper mapper, Library library) {
        this.sheets = sheets;
        this.mapper = mapper;
        this.library = library;
    }

    @GetMapping("/calibres/{id}/versions/{version}")
    String version(
            @PathVariable String id,
            @PathVariable int version,
            @RequestParam(required = false) @Nullable Side side,
            Model model) {
        SheetMapper.VersionRow row = library.requireVersion(id, version);
        CalibreSheet sheet = sheets.find(id, version).orElseThrow();
        model.addAttribute(
                "view",
                VersionView.of(
                        sheet,
                        row,
                        sheets.latest(id).orElse(null),
                        sheets.latestVersion(id),
                        side == null ? Side.TRAIN : side,
                        mapper.jobs(id, version)));
        return "calibres/version";
    }

    /** Makes a version the one that is used. */
    @PostMapping("/calibres/{id}/accept")
    String accept(@PathVariable String id, @RequestParam int version, RedirectAttributes flash) {
        library.accept(id, version);
        flash.addFlashAttribute(
                "said",
                "Version " + version + " is used now, as version " + sheets.latestVersion(id) + " of this workshop");
        return "redirect:/calibres/" + id;
    }

    /** Puts a sheet that waits away. */
    @PostMapping("/calibres/{id}/put-away")
    String putAway(@PathVariable String id, @RequestParam int version, RedirectAttributes flash) {
        library.putAway(id, version);
        flash.addFlashAttribute("said", "The sheet is put away; its jobs keep it, and it can be looked at again below");
        return "redirect:/calibres";
    }
}
