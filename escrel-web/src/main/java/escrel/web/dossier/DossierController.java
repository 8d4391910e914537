package escrel.web.dossier;

import escrel.web.storage.Json;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Files in and out. */
@Controller
class DossierController {
    private final Dossiers dossiers;

    DossierController(Dossiers dossiers) {
        this.dossiers = dossiers;
    }

    @GetMapping(value = "/jobs/{number}/dossier.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String export(@PathVariable int number) {
        return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(dossiers.export(number));
    }

    @PostMapping("/jobs/import")
    String take(@RequestParam MultipartFile dossier, RedirectAttributes flash) throws IOException {
        int number = dossiers.take(new String(dossier.getBytes(), StandardCharsets.UTF_8));
        flash.addFlashAttribute("said", "The dossier was taken in as job " + number);
        return "redirect:/jobs/" + number + "/arrival";
    }
}
