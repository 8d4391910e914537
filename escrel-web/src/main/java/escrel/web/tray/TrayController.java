package escrel.web.tray;

import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.parts.PartScrews;
import escrel.core.parts.Tray;
import escrel.core.school.Choice;
import escrel.core.school.School;
import escrel.core.service.PhotoAdded;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.plan.PartOutline;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The tray and its labels. */
@Controller
class TrayController {
    /**
     * A compartment as shown.
     *
     * @param names what is typed to find it, lower case
     * @param contents parts in words
     * @param screws in words, may be empty
     * @param outline of its first part, or nothing
     * @param photo of one of its parts, or nothing
     */
    record Compartment(
            int number,
            String label,
            String names,
            List<String> contents,
            String screws,
            List<String> warnings,
            @Nullable PartOutline outline,
            @Nullable Integer photo) {}

    private final Workshop workshop;

    TrayController(Workshop workshop) {
        this.workshop = workshop;
    }

    @GetMapping("/jobs/{number}/tray")
    String tray(@PathVariable int number, Model model) {
        fill(number, model);
        return "tray/tray";
    }

    @GetMapping("/jobs/{number}/tray/labels")
    String labels(@PathVariable int number, Model model) {
        fill(number, model);
        return "tray/labels";
    }

    private void fill(int number, Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute(
                "compartments",
                job.job().tray().compartments().stream().map(c -> shown(c, job)).toList());
        model.addAttribute(
                "habit", job.schools().of(School.TRAY).map(Choice::words).orElse(""));
        model.addAttribute("screws", job.job().screws().all());
        model.addAttribute("screwsOut", job.job().screws().out());
    }

    private static Compartment shown(Tray.Compartment c, OpenJob job) {
        List<String> names = c.parts().stream().map(Part::name).toList();
        int eased = c.parts().stream()
                .mapToInt(p -> job.job().screws().of(p.code()).count(PartScrews.Where.EASED))
                .sum();
        String out = ScrewPlace.words(c.screws());
        String screws = eased == 0 ? out : (out.isEmpty() ? "" : out + "; ") + eased + " eased, in their holes";
        return new Compartment(
                c.number(),
                c.label(),
                (c.label() + " " + String.join(" ", names)).toLowerCase(Locale.ROOT),
                names,
                screws,
                c.warnings(),
                c.parts().stream()
                        .flatMap(p -> PartOutline.of(p).stream())
                        .findFirst()
                        .orElse(null),
                job.history()
                        .all(PhotoAdded.class)
                        .filter(p ->
                                c.parts().stream().anyMatch(part -> part.code().equals(p.part())))
                        .map(PhotoAdded::photo)
                        .findFirst()
                        .orElse(null));
    }
}
