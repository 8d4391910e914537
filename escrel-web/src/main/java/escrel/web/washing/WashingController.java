package escrel.web.washing;

import escrel.core.MendableException;
import escrel.core.calibre.Part;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.EpilameApplied;
import escrel.core.cleaning.ProgrammeKept;
import escrel.core.cleaning.Washed;
import escrel.core.service.StepKind;
import escrel.core.workshop.WorkshopLog;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.PartFinder;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import escrel.web.storage.WorkshopLogs;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The wash of a job: what lies in which basket, ticked off basket by basket, or one part by itself. */
@Controller
class WashingController {
    private final Workshop workshop;
    private final WorkshopLogs log;
    private final WashActions actions;
    private final Clock clock;

    WashingController(Workshop workshop, WorkshopLogs log, WashActions actions, Clock clock) {
        this.clock = clock;
        this.workshop = workshop;
        this.log = log;
        this.actions = actions;
    }

    /**
     * @param part code or name of a part that is to be cleaned by itself: on trial, again, or another way
     */
    @GetMapping("/jobs/{number}/wash")
    String wash(@PathVariable int number, @RequestParam(defaultValue = "") String part, Model model) {
        OpenJob job = workshop.load(number);
        WorkshopLog workshopLog = log.load();
        WashView view = WashView.of(job, workshopLog.jars(), workshopLog.running(), clock.instant());
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.WASH));
        model.addAttribute("view", view);
        model.addAttribute("words", words());
        model.addAttribute("cautions", cautions());
        model.addAttribute("film", job.job().epilame().due());
        model.addAttribute("programme", workshopLog.jars().programme());
        model.addAttribute("programmeIsOurs", workshopLog.jars().programme().equals(ProgrammeKept.USUAL));
        model.addAttribute("programmeLines", Programmes.text(workshopLog.jars().programme()));
        model.addAttribute("alone", part.isBlank() ? null : alone(job, part));
        model.addAttribute("ways", List.of(Wash.values()));
        model.addAttribute(
                "off",
                job.teardown().order().stream()
                        .map(c -> job.movement().requirePart(c))
                        .filter(p -> !p.isPowerDown())
                        .toList());
        return "washing/washing";
    }

    private static Map<Wash, String> words() {
        return Arrays.stream(Wash.values()).collect(Collectors.toMap(w -> w, Cautions::words));
    }

    private static Map<Wash, String> cautions() {
        return Arrays.stream(Wash.values()).collect(Collectors.toMap(w -> w, Cautions::of));
    }

    /** By three letters of its name, as everywhere; only what is off can be washed. */
    private static Part alone(OpenJob job, String said) {
        Part part = PartFinder.find(job.movement(), said);
        if (!job.teardown().order().contains(part.code())) {
            throw new MendableException(part.name() + " is not off", "Nothing was recorded.", "Take it off first.");
        }
        return part;
    }

    /** Parts are clean, each as it was said. */
    @PostMapping("/jobs/{number}/wash")
    @Transactional
    public String washed(
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
                    refused.stream().map(Part::name).collect(Collectors.joining(", ")) + " should not go "
                            + (way == Wash.MACHINE ? "into the machine" : "that way: " + Cautions.words(way)),
                    "Nothing was recorded.",
                    "Clean it another way, or say why it went in all the same.");
        }
        actions.append(number, seq, List.of(new Washed(part, way, inSpiteOf.strip())));
        return "redirect:/jobs/" + number + "/wash";
    }

    /** All that is asked before the baths was done: one act. */
    @PostMapping("/jobs/{number}/wash/prepared")
    @Transactional
    public String prepared(@PathVariable int number, @RequestParam int seq) {
        actions.prepared(number, seq);
        return "redirect:/jobs/" + number + "/wash";
    }

    /** The machine's baskets go in, and its clock runs. */
    @PostMapping("/jobs/{number}/wash/load")
    @Transactional
    public String load(@PathVariable int number, @RequestParam int seq) {
        actions.load(number, seq);
        return "redirect:/jobs/" + number + "/wash";
    }

    /** The load is out, and clean. */
    @PostMapping("/jobs/{number}/wash/out")
    @Transactional
    public String out(@PathVariable int number, @RequestParam int seq) {
        actions.out(number, seq);
        return "redirect:/jobs/" + number + "/wash";
    }

    /** The parts that wait for it are treated. */
    @PostMapping("/jobs/{number}/wash/film")
    @Transactional
    public String film(@PathVariable int number, @RequestParam int seq, @RequestParam EpilameApplied.How how) {
        actions.film(number, seq, how);
        return "redirect:/jobs/" + number + "/wash";
    }

    @PostMapping("/jobs/{number}/wash/programme")
    String programme(
            @PathVariable int number,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String lines,
            @RequestParam(defaultValue = "") String changeAfter) {
        actions.programme(name, lines, changeAfter);
        return "redirect:/jobs/" + number + "/wash";
    }

    /** A jar was strained or filled anew. */
    @PostMapping("/jobs/{number}/wash/jar")
    String jar(@PathVariable int number, @RequestParam String jar, @RequestParam boolean strained) {
        actions.jar(jar, strained);
        return "redirect:/jobs/" + number + "/wash";
    }
}
