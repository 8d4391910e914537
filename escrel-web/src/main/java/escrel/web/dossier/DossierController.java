package escrel.web.dossier;

import escrel.core.job.StepRegister;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.media.MediaStore;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Files in and out. A job that is known here is shown with what is new before anything is taken. */
@Controller
class DossierController {
    private static final Pattern WAITING = Pattern.compile("[0-9a-f-]{36}");
    private static final int MOST_SHOWN = 40;

    private final Dossiers dossiers;
    private final DossierFile file;
    private final Workshop workshop;
    private final MediaStore media;

    DossierController(Dossiers dossiers, DossierFile file, Workshop workshop, MediaStore media) {
        this.dossiers = dossiers;
        this.file = file;
        this.workshop = workshop;
        this.media = media;
    }

    @GetMapping("/jobs/{number}/dossier.json")
    ResponseEntity<StreamingResponseBody> json(@PathVariable int number) {
        workshop.load(number);
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(out -> file.json(number, out));
    }

    @GetMapping("/jobs/{number}/dossier.zip")
    ResponseEntity<StreamingResponseBody> zip(@PathVariable int number) {
        workshop.load(number);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("escrel-job-" + number + ".zip")
                                .build()
                                .toString())
                .body(out -> file.zip(number, out));
    }

    @PostMapping("/jobs/import")
    String take(@RequestParam MultipartFile dossier, Model model, RedirectAttributes flash) throws IOException {
        Path waiting = media.arriving();
        boolean waits = false;
        try {
            try (InputStream in = dossier.getInputStream()) {
                Files.copy(in, waiting, StandardCopyOption.REPLACE_EXISTING);
            }
            try (DossierArchive archive = open(waiting)) {
                Optional<Dossiers.Known> known = dossiers.known(archive);
                if (known.isPresent() && !known.get().nothingNew()) {
                    waits = true;
                    show(known.get(), String.valueOf(waiting.getFileName()), model);
                    return "dossier/known";
                }
                if (known.isPresent()) {
                    flash.addFlashAttribute("said", "This job is here already, with everything the dossier holds");
                    return "redirect:/jobs/" + known.get().number() + "/arrival";
                }
                int number = dossiers.take(archive, false);
                flash.addFlashAttribute("said", "The dossier was taken in as job " + number);
                return "redirect:/jobs/" + number + "/arrival";
            }
        } finally {
            if (!waits) {
                Files.deleteIfExists(waiting);
            }
        }
    }

    private void show(Dossiers.Known known, String waiting, Model model) {
        OpenJob job = workshop.load(known.number());
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("known", known);
        model.addAttribute("waiting", waiting);
        List<String> lines = known.added().stream()
                .limit(MOST_SHOWN)
                .map(s -> StepRegister.words(s.step(), job.movement()))
                .toList();
        model.addAttribute("lines", lines);
        model.addAttribute("more", known.added().size() - lines.size());
    }

    /** Takes what was shown: added to the job that is here, or as a job of its own. */
    @PostMapping("/jobs/import/known")
    String known(@RequestParam String waiting, @RequestParam boolean apart, RedirectAttributes flash)
            throws IOException {
        Path file = WAITING.matcher(waiting).matches() ? media.arriving().resolveSibling(waiting) : null;
        if (file == null || !Files.isRegularFile(file)) {
            throw DossierArchive.refuse("The dossier that was shown is not here any more");
        }
        try (DossierArchive archive = open(file)) {
            int number = apart ? dossiers.take(archive, true) : dossiers.add(archive);
            flash.addFlashAttribute(
                    "said",
                    apart ? "The dossier was taken in as job " + number : "What is new was added to job " + number);
            return "redirect:/jobs/" + number + "/arrival";
        } finally {
            Files.deleteIfExists(file);
        }
    }

    private DossierArchive open(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return DossierArchive.open(in, media);
        }
    }
}
