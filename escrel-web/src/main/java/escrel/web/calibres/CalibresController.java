package escrel.web.calibres;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.core.calibre.Train;
import escrel.core.job.Job;
import escrel.core.service.JobHistory;
import escrel.web.job.Habits;
import escrel.web.media.MediaStore;
import escrel.web.photos.SheetFiles;
import escrel.web.plan.PlanDrawing;
import escrel.web.storage.Json;
import escrel.web.storage.SheetJson;
import escrel.web.storage.SheetMapper;
import escrel.web.storage.SheetPictureMapper;
import escrel.web.storage.Sheets;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import tools.jackson.databind.JsonNode;

/** The library of sheets. */
@Controller
class CalibresController {
    private final Sheets sheets;
    private final Library library;
    private final SheetFiles files;
    private final Habits habits;
    private final SheetPictureMapper pictures;
    private final MediaStore media;

    CalibresController(
            Sheets sheets,
            Library library,
            SheetFiles files,
            Habits habits,
            SheetPictureMapper pictures,
            MediaStore media) {
        this.media = media;
        this.sheets = sheets;
        this.library = library;
        this.files = files;
        this.habits = habits;
        this.pictures = pictures;
    }

    @GetMapping("/calibres")
    String all(Model model) {
        model.addAttribute("sheets", sheets.all());
        model.addAttribute("waiting", sheets.standing(SheetMapper.Standing.WAITING));
        model.addAttribute("away", sheets.standing(SheetMapper.Standing.PUT_AWAY));
        return "calibres/calibres";
    }

    @GetMapping("/calibres/{id}")
    String one(@PathVariable String id, @RequestParam(required = false) @Nullable Side side, Model model) {
        CalibreSheet sheet = require(id);
        Side up = side == null ? Side.TRAIN : side;
        model.addAttribute("sheet", sheet);
        int version = sheets.latestVersion(id);
        model.addAttribute("version", version);
        model.addAttribute("versions", others(id, version));
        model.addAttribute("side", up);
        model.addAttribute(
                "plan",
                PlanDrawing.of(
                        sheet, up, new PlanDrawing.State(c -> PlanDrawing.isOver(sheet, c), Set.of(), null, Set.of())));
        model.addAttribute(
                "order", Job.of(JobHistory.empty(), sheet, habits.of(id)).wayDown());
        model.addAttribute("family", library.family(sheet).lines());
        model.addAttribute("documents", pictures.documents(id));
        model.addAttribute("periods", sheet.train() == null ? List.of() : periods(sheet));
        return "calibres/calibre";
    }

    /** Takes over what the family knows. */
    @PostMapping("/calibres/{id}/family")
    String takeOver(
            @PathVariable String id,
            @RequestParam(required = false) @Nullable List<String> line,
            RedirectAttributes flash) {
        library.takeOver(require(id), line == null ? List.of() : line);
        flash.addFlashAttribute("said", "Taken over; the sheet is version " + sheets.latestVersion(id) + " now");
        return "redirect:/calibres/" + id;
    }

    /** Versions that can be looked at beside the one that is used; an accepted one is the same as one of ours. */
    private List<SheetMapper.VersionRow> others(String id, int used) {
        return sheets.history(id).stream()
                .filter(v -> v.version() != used && v.standing() != SheetMapper.Standing.PASSED)
                .toList();
    }

    /** A wheel of the train with its time for a turn. */
    record Period(String name, int teeth, int leaves, double seconds) {}

    private static List<Period> periods(CalibreSheet sheet) {
        Train train = Objects.requireNonNull(sheet.train());
        List<Double> seconds = train.periodsSeconds();
        List<Period> all = new ArrayList<>();
        for (int i = 0; i < train.mobiles().size(); i++) {
            Train.Mobile mobile = train.mobiles().get(i);
            all.add(new Period(
                    sheet.requirePart(mobile.part()).name(),
                    mobile.wheelTeeth(),
                    mobile.pinionLeaves(),
                    seconds.get(i)));
        }
        return all;
    }

    /** Dial and hands would hide what the sheet is about. */
    @GetMapping(value = "/calibres/{id}/sheet.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String export(@PathVariable String id) {
        return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(files.write(require(id)));
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
        JsonNode tree = SheetJson.tree(new String(sheet.getBytes(), StandardCharsets.UTF_8));
        CalibreSheet read = library.take(tree);
        flash.addFlashAttribute("said", read.name() + " is kept as version " + sheets.latestVersion(read.id()));
        return "redirect:/calibres/" + read.id();
    }

    @GetMapping("/calibres/{id}/edit")
    String edit(@PathVariable String id, Model model) {
        CalibreSheet sheet = require(id);
        model.addAttribute("sheet", sheet);
        model.addAttribute("version", sheets.latestVersion(id));
        model.addAttribute("tables", SheetTableRows.of(sheet));
        return "calibres/edit";
    }

    @PostMapping("/calibres/{id}/edit")
    String keep(
            @PathVariable String id,
            @RequestParam int from,
            @RequestParam Map<String, String> tables,
            RedirectAttributes flash) {
        CalibreSheet edited = library.edit(id, from, tables);
        flash.addFlashAttribute("said", edited.name() + " is kept as version " + sheets.latestVersion(id));
        return "redirect:/calibres/" + id;
    }

    @PostMapping("/calibres/new")
    String begin(@RequestParam String newId, @RequestParam String newName) {
        library.begin(newId.strip(), newName.strip());
        return "redirect:/calibres/" + newId.strip() + "/edit";
    }

    @PostMapping("/calibres/{id}/copy")
    String copy(@PathVariable String id, @RequestParam String newId, @RequestParam String newName) {
        library.copy(require(id), newId.strip(), newName.strip());
        return "redirect:/calibres/" + newId.strip() + "/edit";
    }

    @PostMapping("/calibres/{id}/documents")
    String attach(
            @PathVariable String id,
            @RequestParam String title,
            @RequestParam String source,
            @RequestParam MultipartFile document)
            throws IOException {
        library.attach(
                require(id),
                title.strip(),
                source.strip(),
                document.getContentType(),
                document.getSize(),
                document.getInputStream());
        return "redirect:/calibres/" + id;
    }

    @GetMapping("/calibres/{id}/documents/{number}")
    ResponseEntity<Resource> document(@PathVariable String id, @PathVariable int number) {
        // always to be kept as a file: a document found elsewhere is never run in the page
        return pictures.document(id, number)
                .map(d -> ResponseEntity.ok()
                        .contentType(MediaType.APPLICATION_OCTET_STREAM)
                        .header(
                                HttpHeaders.CONTENT_DISPOSITION,
                                ContentDisposition.attachment()
                                        .filename(Library.fileName(d), StandardCharsets.UTF_8)
                                        .build()
                                        .toString())
                        .<Resource>body(new FileSystemResource(media.path(d.medium()))))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    @GetMapping("/calibres/{id}/pictures/{number}")
    ResponseEntity<Void> picture(@PathVariable String id, @PathVariable int number) {
        return pictures.find(id, number)
                .map(p -> ResponseEntity.status(HttpStatus.FOUND)
                        .location(URI.create("/media/" + p.medium()))
                        .cacheControl(CacheControl.noStore())
                        .<Void>build())
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}
