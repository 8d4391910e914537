package escrel.web.film;

import escrel.core.MendableException;
import escrel.core.calibre.Part;
import escrel.core.service.PhotoAdded;
import escrel.core.service.PhotosPaired;
import escrel.core.service.PhotosPaired.Mark;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.photos.Photos;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Photos in pairs: of the same part dirty and clean, of the same side then and now. */
@Controller
class PairsController {
    private final Workshop workshop;
    private final Photos photos;

    PairsController(Workshop workshop, Photos photos) {
        this.workshop = workshop;
        this.photos = photos;
    }

    /**
     * A photo to choose.
     *
     * @param about what it shows, in words
     */
    record Choice(int photo, String about) {}

    /** Two photos of the same thing nobody has paired yet. */
    record Proposed(int before, int after, String about) {}

    /**
     * The pair on the page.
     *
     * @param tall height of the earlier picture to its width
     * @param tallAfter of the later one
     * @param matrix how the later lies on the earlier, for SVG, in thousandths of the width
     */
    record Shown(PhotosPaired pair, double tall, double tallAfter, String matrix) {}

    @GetMapping("/jobs/{number}/pairs")
    String pairs(
            @PathVariable int number,
            @RequestParam(defaultValue = "0") int before,
            @RequestParam(defaultValue = "0") int after,
            Model model) {
        OpenJob job = workshop.load(number);
        List<PhotosPaired> kept = PhotosPaired.in(job.history());
        List<Proposed> proposed = proposed(job, kept);
        int first = before > 0
                ? before
                : kept.isEmpty()
                        ? proposed.stream().map(Proposed::before).findFirst().orElse(0)
                        : kept.get(0).before();
        int second = after > 0
                ? after
                : kept.isEmpty()
                        ? proposed.stream().map(Proposed::after).findFirst().orElse(0)
                        : kept.get(0).after();
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("choices", choices(job));
        model.addAttribute("kept", kept);
        model.addAttribute("proposed", proposed);
        model.addAttribute("shown", shown(job, kept, first, second));
        model.addAttribute("before", first);
        model.addAttribute("after", second);
        return "film/pairs";
    }

    private @Nullable Shown shown(OpenJob job, List<PhotosPaired> kept, int before, int after) {
        if (before == after || !has(job, before) || !has(job, after)) {
            return null;
        }
        PhotosPaired pair = kept.stream()
                .filter(p -> p.before() == before && p.after() == after)
                .findFirst()
                .orElseGet(() -> new PhotosPaired(before, after, List.of(), List.of(), "", false));
        PhotosPaired.Laying lay = pair.laying();
        String matrix = String.format(
                Locale.ROOT,
                "matrix(%.6f %.6f %.6f %.6f %.3f %.3f)",
                lay.a(),
                lay.b(),
                -lay.b(),
                lay.a(),
                1000 * lay.dx(),
                1000 * lay.dy());
        return new Shown(
                pair,
                1000 * photos.heightToWidth(job.number(), before),
                1000 * photos.heightToWidth(job.number(), after),
                matrix);
    }

    private static boolean has(OpenJob job, int photo) {
        return job.history().all(PhotoAdded.class).anyMatch(p -> p.photo() == photo);
    }

    private static List<Choice> choices(OpenJob job) {
        return job.history()
                .all(PhotoAdded.class)
                .map(p -> new Choice(p.photo(), about(job, p)))
                .toList();
    }

    private static String about(OpenJob job, PhotoAdded photo) {
        if (!photo.caption().isEmpty()) {
            return photo.caption();
        }
        return Optional.ofNullable(photo.part())
                .map(code -> job.movement().part(code).map(Part::name).orElse(code))
                .orElse(
                        photo.side() == null
                                ? "photo " + photo.photo()
                                : photo.side().name().toLowerCase(Locale.ROOT) + " side");
    }

    /** The first and the last photo of each part, and of each side by itself. */
    private static List<Proposed> proposed(OpenJob job, List<PhotosPaired> kept) {
        List<PhotoAdded> all = job.history().all(PhotoAdded.class).toList();
        List<Proposed> proposed = new ArrayList<>();
        for (PhotoAdded last : all) {
            boolean tells = last.part() != null || last.side() != null;
            PhotoAdded first =
                    all.stream().filter(p -> sameThing(p, last)).findFirst().orElse(last);
            boolean later = all.stream().anyMatch(p -> p.photo() > last.photo() && sameThing(p, last));
            boolean paired = kept.stream().anyMatch(p -> p.before() == first.photo() && p.after() == last.photo());
            if (tells && !later && !paired && first.photo() != last.photo()) {
                proposed.add(new Proposed(first.photo(), last.photo(), about(job, last)));
            }
        }
        return proposed;
    }

    private static boolean sameThing(PhotoAdded a, PhotoAdded b) {
        return a.part() != null || b.part() != null
                ? Objects.equals(a.part(), b.part())
                : a.side() != null && a.side() == b.side();
    }

    @PostMapping("/jobs/{number}/pairs")
    String pair(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam int before,
            @RequestParam int after,
            @RequestParam(defaultValue = "") String beforeMarks,
            @RequestParam(defaultValue = "") String afterMarks,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "false") boolean inReport,
            RedirectAttributes flash) {
        OpenJob job = workshop.load(number);
        if (!has(job, before) || !has(job, after)) {
            throw refuse("The job has no such two photos");
        }
        PhotosPaired pair;
        try {
            pair = new PhotosPaired(before, after, marks(beforeMarks), marks(afterMarks), words.strip(), inReport);
        } catch (IllegalArgumentException e) {
            throw refuse("The two cannot be laid so: " + Objects.requireNonNullElse(e.getMessage(), "no marks"));
        }
        workshop.append(number, seq, pair);
        flash.addFlashAttribute("said", inReport ? "The pair is kept and goes into the report" : "The pair is kept");
        return "redirect:/jobs/" + number + "/pairs?before=" + before + "&after=" + after;
    }

    /** "0.1,0.2 0.8,0.7"; empty for none. */
    private static List<Mark> marks(String text) {
        List<Mark> marks = new ArrayList<>();
        for (String each : text.strip().split(" +")) {
            if (!each.isEmpty()) {
                String[] xy = each.split(",", 2);
                if (xy.length < 2) {
                    throw new IllegalArgumentException("a mark is two numbers");
                }
                marks.add(new Mark(Double.parseDouble(xy[0]), Double.parseDouble(xy[1])));
            }
        }
        return marks;
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what, "Nothing was recorded.", "Choose two photos and set two marks on each, a good way apart.");
    }
}
