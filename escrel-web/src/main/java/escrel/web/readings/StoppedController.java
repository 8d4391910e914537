package escrel.web.readings;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Train;
import escrel.core.diagnosis.StopAnswered;
import escrel.core.diagnosis.StopCause;
import escrel.core.diagnosis.StopQuestion;
import escrel.core.diagnosis.WhyStopped;
import escrel.core.service.StepKind;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** It does not run: one question after the other, and what may be the matter where they end. */
@Controller
class StoppedController {
    private static final int LONGEST = 1000;

    private final Workshop workshop;

    StoppedController(Workshop workshop) {
        this.workshop = workshop;
    }

    @GetMapping("/jobs/{number}/stopped")
    String stopped(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        WhyStopped walk = WhyStopped.of(job.history());
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.READINGS));
        model.addAttribute("walk", walk);
        model.addAttribute("turns", walk.cause() == StopCause.PERIOD ? turns(job.sheet()) : List.of());
        model.addAttribute("open", job.job().suspicions().open());
        return "readings/stopped";
    }

    /** How long each wheel of the train takes for a turn, to hold the time between two stops against. */
    private static List<String> turns(@Nullable CalibreSheet sheet) {
        Train train = sheet == null ? null : sheet.train();
        if (sheet == null || train == null) {
            return List.of();
        }
        List<String> turns = new ArrayList<>();
        List<Double> periods = train.periodsSeconds();
        for (int i = 0; i < Math.min(periods.size(), train.mobiles().size()); i++) {
            String code = train.mobiles().get(i).part();
            turns.add(sheet.part(code).map(Part::name).orElse(code) + ": once in " + inWords(periods.get(i)));
        }
        return turns;
    }

    private static String inWords(double seconds) {
        if (seconds < 90) {
            return String.format(Locale.ROOT, "%.1f s", seconds);
        }
        return seconds < 5400
                ? String.format(Locale.ROOT, "%.1f min", seconds / 60)
                : String.format(Locale.ROOT, "%.1f h", seconds / 3600);
    }

    @PostMapping("/jobs/{number}/stopped")
    String answer(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam StopQuestion question,
            @RequestParam StopAnswered.Answer answer,
            @RequestParam(defaultValue = "") String words) {
        String kept = words.substring(0, Math.min(words.length(), LONGEST));
        workshop.append(number, seq, new StopAnswered(question, answer, kept));
        return "redirect:/jobs/" + number + "/stopped";
    }
}
