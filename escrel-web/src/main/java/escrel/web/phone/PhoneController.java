package escrel.web.phone;

import escrel.core.MendableException;
import escrel.core.calibre.Part;
import escrel.core.service.PhotoAdded;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Lets a phone take pictures for the bench. */
@Controller
class PhoneController {
    private final Workshop workshop;
    private final PhoneCodes codes;
    private final Arriving arriving;
    private final WatchedFolder folder;
    private final boolean reachable;

    PhoneController(
            Workshop workshop,
            PhoneCodes codes,
            Arriving arriving,
            WatchedFolder folder,
            @Qualifier("beyondThisMachine") Boolean reachable) {
        this.workshop = workshop;
        this.codes = codes;
        this.arriving = arriving;
        this.folder = folder;
        this.reachable = reachable;
    }

    @GetMapping("/jobs/{number}/phone")
    String join(@PathVariable int number, HttpServletRequest request, Model model) {
        OpenJob job = workshop.load(number);
        String code = codes.of(number).orElse(null);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("reachable", reachable);
        if (code != null) {
            String address = Addresses.of(request) + "/phone/" + code;
            model.addAttribute("address", address);
            model.addAttribute("qr", Qr.of(address));
        }
        model.addAttribute("watched", folder.watched());
        model.addAttribute("part", name(job));
        return "phone/join";
    }

    @PostMapping("/jobs/{number}/phone")
    String make(@PathVariable int number) {
        workshop.load(number);
        codes.make(number);
        return back(number);
    }

    @PostMapping("/jobs/{number}/phone/end")
    String end(@PathVariable int number, RedirectAttributes flash) {
        codes.end(number);
        flash.addFlashAttribute("said", "No phone takes pictures for this job any more");
        return back(number);
    }

    @PostMapping("/jobs/{number}/phone/folder")
    String watch(@PathVariable int number, @RequestParam String folder, RedirectAttributes flash) {
        workshop.load(number);
        this.folder.watch(number, folder);
        flash.addFlashAttribute("said", "Pictures that come into the folder from now on go to the part at hand");
        return back(number);
    }

    @PostMapping("/jobs/{number}/phone/folder/stop")
    String stop(@PathVariable int number) {
        folder.stop();
        return back(number);
    }

    private static String back(int number) {
        return "redirect:/jobs/" + number + "/phone";
    }

    @GetMapping("/phone/{code}")
    String phone(@PathVariable String code, Model model) {
        OpenJob job = workshop.load(require(code));
        List<PhotoAdded> taken = job.history().all(PhotoAdded.class).toList();
        model.addAttribute("code", code);
        model.addAttribute("number", job.number());
        model.addAttribute("watch", job.arrival().watch());
        model.addAttribute("part", name(job));
        model.addAttribute("last", taken.isEmpty() ? null : taken.get(taken.size() - 1));
        return "phone/phone";
    }

    @PostMapping("/phone/{code}")
    String take(@PathVariable String code, @RequestParam MultipartFile picture, RedirectAttributes flash)
            throws IOException {
        int number = require(code);
        int photo = arriving.keep(number, picture.getInputStream(), "");
        String part = name(workshop.load(number));
        flash.addFlashAttribute("said", "Photo " + photo + " is kept" + (part == null ? "" : " with " + part));
        return "redirect:/phone/" + code;
    }

    private @Nullable String name(OpenJob job) {
        Part part = arriving.part(job);
        return part == null ? null : part.name();
    }

    private int require(String code) {
        return codes.job(code)
                .orElseThrow(() -> new MendableException(
                        "This code no longer holds",
                        "Nothing was recorded; pictures taken so far are kept.",
                        "Show a new code at the bench, under photos, and scan that."));
    }
}
