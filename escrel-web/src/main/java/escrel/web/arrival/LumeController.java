package escrel.web.arrival;

import escrel.core.MendableException;
import escrel.core.lume.Lume;
import escrel.core.lume.LumeCounted;
import escrel.core.lume.LumeItem;
import escrel.core.lume.LumePoint;
import escrel.core.lume.LumeSeen;
import escrel.core.service.StepKind;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Luminous paint: where it is, what was counted over it, and the points of care. */
@Controller
class LumeController {
    private final Workshop workshop;

    LumeController(Workshop workshop) {
        this.workshop = workshop;
    }

    @GetMapping("/jobs/{number}/lume")
    String lume(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        Lume lume = job.job().lume();
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.ARRIVAL));
        model.addAttribute("lume", lume);
        model.addAttribute("rows", LumeDrawing.of(lume));
        model.addAttribute("painted", lume.items().stream().map(Lume.Item::item).toList());
        model.addAttribute("items", LumeItem.values());
        model.addAttribute("units", LumeCounted.Unit.values());
        model.addAttribute("points", LumePoint.Point.values());
        model.addAttribute("background", job.history().last(LumeCounted.class).orElse(null));
        return "arrival/lume";
    }

    @PostMapping("/jobs/{number}/lume/seen")
    String seen(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(required = false) @Nullable List<LumeItem> item) {
        workshop.append(number, seq, new LumeSeen(item == null ? List.of() : item));
        return back(number);
    }

    @PostMapping("/jobs/{number}/lume/counted")
    String counted(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam LumeItem item,
            @RequestParam LumeCounted.Unit unit,
            @RequestParam String gross,
            @RequestParam String grossMinutes,
            @RequestParam String background,
            @RequestParam String backgroundMinutes) {
        try {
            workshop.append(
                    number,
                    seq,
                    new LumeCounted(
                            item,
                            unit,
                            figure(gross),
                            figure(grossMinutes),
                            figure(background),
                            figure(backgroundMinutes),
                            false));
        } catch (IllegalArgumentException e) {
            throw new MendableException(
                    "That is no count: " + e.getMessage(),
                    "Nothing was recorded.",
                    "Correct the figures and send them again.");
        }
        return back(number);
    }

    private static double figure(String typed) {
        try {
            return Double.parseDouble(typed.strip().replace(',', '.'));
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("“" + typed.strip() + "” is no number", e);
        }
    }

    @PostMapping("/jobs/{number}/lume/points")
    String point(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam LumePoint.Point point,
            @RequestParam(defaultValue = "true") boolean done) {
        workshop.append(number, seq, new LumePoint(point, done));
        return back(number);
    }

    private static String back(int number) {
        return "redirect:/jobs/" + number + "/lume";
    }
}
