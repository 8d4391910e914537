package escrel.web.washing;

import escrel.core.MendableException;
import escrel.core.calibre.Part;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.CleaningState;
import escrel.core.cleaning.Washed;
import escrel.core.service.StepKind;
import escrel.core.teardown.TeardownState;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import escrel.web.ladder.Ladder;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Cleaning, marked part by part. */
@Controller
class WashingController {
    private final Workshop workshop;

    WashingController(Workshop workshop) {
        this.workshop = workshop;
    }

    /** One way of cleaning with what waits for it, and the caution that belongs to it. */
    record Batch(Wash way, String title, String caution, int key, Map<String, List<Part>> byGroup, int size) {}

    /** A part that is clean. */
    record Done(Part part, Wash way) {}

    @GetMapping("/jobs/{number}/wash")
    String wash(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        TeardownState teardown = job.teardown();
        CleaningState cleaning = job.job().cleaning();
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.WASH));
        model.addAttribute(
                "batches",
                Arrays.stream(Wash.values()).map(w -> batch(w, cleaning)).toList());
        model.addAttribute(
                "done",
                teardown.order().stream()
                        .flatMap(code -> cleaning.wayOf(code).stream()
                                .map(way -> new Done(teardown.sheet().requirePart(code), way)))
                        .toList());
        model.addAttribute("due", cleaning.due().size());
        model.addAttribute("nothingOff", teardown.order().isEmpty());
        return "washing/washing";
    }

    private static Batch batch(Wash way, CleaningState cleaning) {
        List<Part> due = cleaning.due(way);
        Map<String, List<Part>> groups = due.stream()
                .collect(Collectors.groupingBy(p -> Ladder.groupName(p.group()), TreeMap::new, Collectors.toList()));
        return new Batch(way, title(way), caution(way), way.ordinal() + 1, groups, due.size());
    }

    private static String title(Wash way) {
        return switch (way) {
            case MACHINE -> "Into the machine";
            case DIP -> "Short dip, by hand";
            case BY_HAND -> "By hand, apart";
            case WATER_BATH -> "Case and bracelet: a water-based bath";
            case STANCE -> "Only as far as the stance allows";
        };
    }

    private static String caution(Wash way) {
        return switch (way) {
            case MACHINE ->
                "Solvents are flammable and give off vapour: ventilate, no flame, no heated or ultrasonic bath with"
                        + " flammable liquid unless the machine is made for it; gloves. The maker's data sheets and"
                        + " local rules decide.";
            case DIP ->
                "Quick solvent evaporates at once: ventilate, no flame, gloves. Never alcohol or heat on a fork:"
                        + " shellac softens. Data sheets and local rules decide.";
            case WATER_BATH ->
                "Without crystal and movement, never the movement's jars; rinsed and dried at once. Hands out of an"
                        + " ultrasonic bath while it runs; plated cases by the maker's data sheets.";
            case BY_HAND -> "Ammoniated cleaners: ventilate, shield the eyes, never with chlorine. Local rules decide.";
            case STANCE ->
                "Lume of unknown age is treated as radioactive until measured: no scraping, no brushing. Storage and"
                        + " disposal follow local rules.";
        };
    }

    @PostMapping("/jobs/{number}/wash")
    String washed(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam Wash way,
            @RequestParam(required = false) @Nullable List<String> part,
            @RequestParam(defaultValue = "") String inSpiteOf) {
        if (part == null || part.isEmpty()) {
            throw new MendableException(
                    "No part was chosen",
                    "Nothing was recorded.",
                    "Tick the parts that were cleaned, then send it again.");
        }
        OpenJob job = workshop.load(number);
        List<Part> refused = job.job().cleaning().notFor(way, part);
        if (!refused.isEmpty() && inSpiteOf.isBlank()) {
            throw new MendableException(
                    refused.stream().map(Part::name).collect(Collectors.joining(", "))
                            + " should not go into the machine",
                    "Nothing was recorded.",
                    "Clean it another way, or say why it went in all the same.");
        }
        workshop.append(number, seq, new Washed(part, way, inSpiteOf.strip()));
        return "redirect:/jobs/" + number + "/wash";
    }
}
