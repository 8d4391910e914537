package escrel.web.film;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.core.learning.SidePhotographed;
import escrel.core.service.JobHistory;
import escrel.core.service.PhotoAdded;
import escrel.core.service.PhotoMarked;
import escrel.core.service.RecordedStep;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.photos.MarkedPictures;
import escrel.web.photos.Photos;
import escrel.web.plan.PlanDrawing;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Photos beside the plan as it was then; a photograph as the plan. */
@Controller
class FilmController {
    /**
     * A photo on the film.
     *
     * @param part what it shows, by name; may be empty
     * @param off how many parts were off then
     */
    record Shot(
            int photo,
            int sequence,
            String caption,
            String part,
            int off,
            @Nullable Side side) {}

    private final Workshop workshop;
    private final Photos photos;
    private final MarkedPictures pictures;

    FilmController(Workshop workshop, Photos photos, MarkedPictures pictures) {
        this.pictures = pictures;
        this.workshop = workshop;
        this.photos = photos;
    }

    @GetMapping("/jobs/{number}/film")
    String film(@PathVariable int number, @RequestParam(defaultValue = "0") int photo, Model model) {
        OpenJob job = workshop.load(number);
        List<Shot> shots = shots(job);
        Shot shown = shots.stream()
                .filter(s -> s.photo() == photo)
                .findFirst()
                .orElse(shots.isEmpty() ? null : shots.get(shots.size() - 1));
        int at = shots.indexOf(shown);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("shots", shots);
        model.addAttribute("shown", shown);
        model.addAttribute("earlier", at > 0 ? shots.get(at - 1).photo() : null);
        model.addAttribute(
                "later", at >= 0 && at < shots.size() - 1 ? shots.get(at + 1).photo() : null);
        if (shown != null) {
            model.addAttribute("full", photos.full(number, shown.photo()));
            model.addAttribute("plan", planThen(job, shown));
            model.addAttribute("tall", 1000 * photos.heightToWidth(number, shown.photo()));
            model.addAttribute(
                    "arrows",
                    PhotoMarked.on(job.history(), shown.photo()).stream()
                            .map(a -> String.format(Locale.ROOT, "%.4f,%.4f,%.4f,%.4f", a.x(), a.y(), a.toX(), a.toY()))
                            .collect(Collectors.joining(" ")));
        }
        return "film/film";
    }

    /** Arrows on a photo, as the page sends them: four fractions each, with commas, one after the other. */
    @PostMapping("/jobs/{number}/film/{photo}/arrows")
    String mark(@PathVariable int number, @PathVariable int photo, @RequestParam(defaultValue = "") String arrows) {
        if (workshop.load(number).history().all(PhotoAdded.class).noneMatch(p -> p.photo() == photo)) {
            throw refuse("The job has no photo " + photo);
        }
        try {
            workshop.add(
                    number,
                    new PhotoMarked(
                            photo,
                            Arrays.stream(arrows.strip().split(" +"))
                                    .filter(a -> !a.isEmpty())
                                    .map(FilmController::arrow)
                                    .toList()));
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()));
        }
        return "redirect:/jobs/" + number + "/film?photo=" + photo;
    }

    private static PhotoMarked.Arrow arrow(String text) {
        double[] at =
                Arrays.stream(text.split(",")).mapToDouble(Double::parseDouble).toArray();
        if (at.length != 4) {
            throw new IllegalArgumentException("“" + text + "” is no arrow");
        }
        return new PhotoMarked.Arrow(at[0], at[1], at[2], at[3]);
    }

    private static MendableException refuse(String what) {
        return new MendableException(what, "Nothing was recorded; the picture is as it was.", "Draw them anew.");
    }

    /** The small copy with its arrows in it. */
    @GetMapping("/jobs/{number}/film/{photo}/marked")
    ResponseEntity<byte[]> marked(@PathVariable int number, @PathVariable int photo) {
        return pictures.small(
                        number, photo, PhotoMarked.on(workshop.load(number).history(), photo))
                .map(bytes -> ResponseEntity.ok()
                        .contentType(MediaType.IMAGE_JPEG)
                        .cacheControl(CacheControl.noStore())
                        .body(bytes))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    private static List<Shot> shots(OpenJob job) {
        return job.history().counting().stream()
                .filter(e -> e.step() instanceof PhotoAdded)
                .map(e -> shot(job, e))
                .toList();
    }

    private static Shot shot(OpenJob job, RecordedStep entry) {
        PhotoAdded photo = (PhotoAdded) entry.step();
        TeardownState then = then(job, entry.sequence());
        String part = photo.part() == null
                ? ""
                : then.sheet().part(photo.part()).map(p -> p.name()).orElse(photo.part());
        int off = (int) then.order().stream().filter(then::isOff).count();
        return new Shot(
                photo.photo(),
                entry.sequence(),
                photo.caption(),
                part,
                off,
                photo.side() != null ? photo.side() : TeardownOrder.sideUp(then).orElse(null));
    }

    private static TeardownState then(OpenJob job, int sequence) {
        JobHistory history = job.history().upTo(sequence);
        return TeardownState.of(job.movement(), history);
    }

    private static PlanDrawing planThen(OpenJob job, Shot shot) {
        CalibreSheet sheet = job.movement();
        TeardownState then = then(job, shot.sequence());
        Side side = shot.side() == null || shot.side() == Side.IN_HAND ? Side.TRAIN : shot.side();
        return PlanDrawing.of(sheet, side, new PlanDrawing.State(then::isOff, Set.of(), null, Set.of()));
    }

    @GetMapping("/jobs/{number}/plate")
    String plate(
            @PathVariable int number,
            @RequestParam(defaultValue = "0") int photo,
            @RequestParam(required = false) @Nullable Side side,
            Model model) {
        OpenJob job = workshop.load(number);
        List<Shot> shots = shots(job);
        Shot shown = shots.stream()
                .filter(s -> s.photo() == photo)
                .findFirst()
                .orElse(shots.isEmpty() ? null : shots.get(shots.size() - 1));
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("shots", shots);
        model.addAttribute("shown", shown);
        if (shown != null) {
            double tall = photos.heightToWidth(number, shown.photo());
            model.addAttribute("tall", tall);
            model.addAttribute("circle", new double[] {0.5, tall / 2, 0.46 * Math.min(1, tall)});
            model.addAttribute("side", side != null ? side : shown.side() == null ? Side.TRAIN : shown.side());
        }
        return "film/plate";
    }

    @PostMapping("/jobs/{number}/plate/photo")
    @Transactional
    public String add(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam Side side,
            @RequestParam MultipartFile picture)
            throws IOException {
        int photo = photos.keep(number, picture.getInputStream());
        workshop.append(number, seq, new PhotoAdded(photo, null, "", side));
        return "redirect:/jobs/" + number + "/plate?photo=" + photo + "&side=" + side;
    }

    @PostMapping("/jobs/{number}/plate")
    String lies(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam int photo,
            @RequestParam Side side,
            @RequestParam double centreX,
            @RequestParam double centreY,
            @RequestParam double radius) {
        OpenJob job = workshop.load(number);
        boolean there = job.history().all(PhotoAdded.class).anyMatch(p -> p.photo() == photo);
        boolean inside = radius > 0.05 && radius <= 1 && centreX >= 0 && centreX <= 1 && centreY >= 0 && centreY <= 2;
        if (!there || !inside || side == Side.IN_HAND) {
            throw new MendableException(
                    there ? "The plate does not lie in the picture" : "There is no photo " + photo,
                    "Nothing was recorded.",
                    "Choose a photo of the job and lay the circle on the rim of the plate.");
        }
        workshop.append(number, seq, new SidePhotographed(photo, side, centreX, centreY, radius));
        return "redirect:/jobs/" + number + "/strip?side=" + side;
    }
}
