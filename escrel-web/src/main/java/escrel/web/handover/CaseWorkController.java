package escrel.web.handover;

import escrel.core.MendableException;
import escrel.core.casework.CaseTask;
import escrel.core.casework.CaseWorked;
import escrel.core.casework.Layer;
import escrel.core.casework.Layered;
import escrel.core.casework.ParcelSent;
import escrel.core.casework.WaterTested;
import escrel.core.clock.ClockStarted;
import escrel.core.service.PhotoAdded;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.web.format.Amount;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import escrel.web.storage.WorkshopLogs;
import java.util.Arrays;
import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Work on case, crystal, dial and hands within the stance; the test against water; the parcel back. */
@Controller
class CaseWorkController {
    private final Workshop workshop;
    private final WorkshopLogs log;

    CaseWorkController(Workshop workshop, WorkshopLogs log) {
        this.log = log;
        this.workshop = workshop;
    }

    /**
     * A task as shown.
     *
     * @param done what was done of it, the latest last
     */
    record Task(CaseTask task, CaseTask.Limit limit, List<CaseWorked> done) {}

    @GetMapping("/jobs/{number}/case-work")
    String caseWork(@PathVariable int number, @RequestParam(required = false) @Nullable CaseTask task, Model model) {
        OpenJob job = workshop.load(number);
        List<CaseWorked> done = job.history().all(CaseWorked.class).toList();
        List<Task> tasks = Arrays.stream(CaseTask.values())
                .map(t -> new Task(
                        t,
                        limit(job, t),
                        done.stream().filter(d -> d.task() == t).toList()))
                .toList();
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.HANDOVER));
        model.addAttribute("stance", job.arrival().stance());
        model.addAttribute("tasks", tasks);
        model.addAttribute(
                "chosen",
                tasks.stream().filter(t -> t.task() == task).findFirst().orElse(null));
        int at = task == null ? -1 : task.ordinal();
        CaseTask[] all = CaseTask.values();
        model.addAttribute("before", all[(Math.max(at, 0) + all.length - 1) % all.length]);
        model.addAttribute("after", all[(at + 1) % all.length]);
        List<Layered> layers = job.history().all(Layered.class).toList();
        model.addAttribute("layers", layers);
        model.addAttribute("allLayers", Layer.values());
        model.addAttribute("nextLayer", nextLayer(layers));
        model.addAttribute("photos", job.history().all(PhotoAdded.class).toList());
        model.addAttribute("ways", WaterTested.Way.values());
        model.addAttribute("water", job.history().all(WaterTested.class).toList());
        return "handover/case-work";
    }

    /** After rinsing, a plating begins anew: another piece. */
    private static Layer nextLayer(List<Layered> layers) {
        Layer[] all = Layer.values();
        return layers.isEmpty()
                ? all[0]
                : all[(layers.get(layers.size() - 1).layer().ordinal() + 1) % all.length];
    }

    /** A step of a plating; its bath has a clock of its own. */
    @PostMapping("/jobs/{number}/layers")
    @Transactional
    public String layer(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam Layer layer,
            @RequestParam(defaultValue = "") String minutes,
            @RequestParam(defaultValue = "") String words) {
        OpenJob job = workshop.load(number);
        CaseTask.Limit limit = limit(job, CaseTask.PLATED);
        if (limit.leave() == CaseTask.Leave.AGAINST && words.isBlank()) {
            throw refuse("Plating goes against what was agreed: " + limit.why());
        }
        Layered step;
        try {
            step = new Layered(layer, minutes.isBlank() ? 0 : Integer.parseInt(minutes.strip()), words);
        } catch (NumberFormatException e) {
            throw refuse("“" + minutes + "” is no number of minutes");
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()));
        }
        workshop.append(number, seq, step);
        if (step.minutes() > 0) {
            log.append(ClockStarted.of(layer.words() + " bath", number, 60 * step.minutes()));
        }
        return "redirect:/jobs/" + number + "/case-work?task=PLATED";
    }

    private static CaseTask.Limit limit(OpenJob job, CaseTask task) {
        return task.under(job.arrival().stance(), job.job().lume().wantsCare());
    }

    @PostMapping("/jobs/{number}/case-work")
    String work(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam CaseTask task,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(required = false) @Nullable Integer before,
            @RequestParam(required = false) @Nullable Integer after) {
        OpenJob job = workshop.load(number);
        CaseTask.Limit limit = limit(job, task);
        if (limit.leave() != CaseTask.Leave.FREE && words.isBlank()) {
            throw refuse(
                    limit.leave() == CaseTask.Leave.AGAINST
                            ? "“" + task.words() + "” needs a reason: " + limit.why()
                            : "How far it went is not said: " + limit.why());
        }
        requirePhoto(job, before);
        requirePhoto(job, after);
        workshop.append(number, seq, made(() -> new CaseWorked(task, words, before, after)));
        return "redirect:/jobs/" + number + "/case-work";
    }

    private static void requirePhoto(OpenJob job, @Nullable Integer photo) {
        if (photo != null && job.history().all(PhotoAdded.class).noneMatch(p -> p.photo() == photo)) {
            throw refuse("The job has no photo " + photo);
        }
    }

    @PostMapping("/jobs/{number}/water")
    String water(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(defaultValue = "") String bar,
            @RequestParam WaterTested.Way way,
            @RequestParam boolean passed,
            @RequestParam(defaultValue = "") String words) {
        workshop.append(number, seq, made(() -> {
            Double typed = Amount.typed(bar);
            return new WaterTested(typed == null ? Double.NaN : typed, way, passed, words);
        }));
        return "redirect:/jobs/" + number + "/case-work";
    }

    @PostMapping("/jobs/{number}/parcel-back")
    String parcel(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(defaultValue = "") String carrier,
            @RequestParam(defaultValue = "") String packing,
            @RequestParam(defaultValue = "") String cost,
            @RequestParam(defaultValue = "") String contents) {
        workshop.append(number, seq, made(() -> new ParcelSent(carrier, packing, Amount.typed(cost), contents)));
        return "redirect:/jobs/" + number + "/handover";
    }

    private static Step made(Supplier<Step> step) {
        try {
            return step.get();
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()));
        }
    }

    private static MendableException refuse(String what) {
        return new MendableException(what, "Nothing was recorded.", "Say it, then send it again.");
    }
}
