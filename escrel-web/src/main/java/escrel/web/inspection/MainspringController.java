package escrel.web.inspection;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Role;
import escrel.core.mainspring.Drum;
import escrel.core.mainspring.Mainspring;
import escrel.core.mainspring.SpringChoice;
import escrel.core.mainspring.SpringsListed.Stocked;
import escrel.core.parts.Finding;
import escrel.core.parts.Gauged;
import escrel.core.service.StepKind;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import escrel.web.storage.WorkshopLogs;
import escrel.web.stores.Drawers;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Which mainspring: what was measured, what the workshop has, what each would do in this drum. */
@Controller
class MainspringController {
    private static final int SHOWN = 12;

    private final Workshop workshop;
    private final WorkshopLogs log;
    private final Drawers drawers;

    MainspringController(Workshop workshop, WorkshopLogs log, Drawers drawers) {
        this.workshop = workshop;
        this.log = log;
        this.drawers = drawers;
    }

    /**
     * What is asked for, in millimetres and hours; what was measured on the bench stands there already.
     */
    record Asked(
            @Nullable Double inside,
            @Nullable Double arbor,
            @Nullable Double width,
            @Nullable Double thickness,
            @Nullable Double length,
            @Nullable Double hours) {
        public boolean isWhole() {
            return inside != null
                    && arbor != null
                    && width != null
                    && thickness != null
                    && length != null
                    && hours != null;
        }
    }

    /**
     * A spring as shown.
     *
     * @param atHand nothing for the one that was in it
     * @param drawing nothing where it does not go into the drum
     */
    record Line(
            String name,
            @Nullable SpringAtHand atHand,
            SpringChoice choice,
            @Nullable SpringDrawing drawing) {}

    @GetMapping("/jobs/{number}/mainspring")
    String choose(@PathVariable int number, Asked typed, Model model) {
        OpenJob job = workshop.load(number);
        Asked asked = filled(typed, job);
        List<Stocked> stock = log.load().springs();
        List<SpringAtHand> atHand = SpringAtHand.all(stock, drawers.all());
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.INSPECT));
        model.addAttribute("asked", asked);
        model.addAttribute("wanted", wanted(job));
        model.addAttribute("stock", stock);
        model.addAttribute("atHand", atHand);
        model.addAttribute(
                "table",
                stock.stream()
                        .map(s -> "%s\t%s\t%s\t%s\t%s"
                                .formatted(
                                        s.name(),
                                        s.spring().width(),
                                        s.spring().thickness(),
                                        s.spring().length(),
                                        s.spring().end()))
                        .collect(Collectors.joining("\n")));
        if (asked.isWhole()) {
            try {
                reckon(asked, atHand, model);
            } catch (IllegalArgumentException e) {
                model.addAttribute("refused", e.getMessage());
            }
        }
        return "inspection/mainspring";
    }

    /** The finding that a spring chosen here settles: the mainspring's that is not settled yet; nothing where none is. */
    private static @Nullable String wanted(OpenJob job) {
        return job.job().findings().all().stream()
                .filter(f -> !f.isSettled() && !f.isWithinPart())
                .filter(f -> job.movement()
                        .part(String.valueOf(f.part()))
                        .filter(p -> p.role() == Role.MAINSPRING)
                        .isPresent())
                .map(Finding::key)
                .reduce((earlier, later) -> later)
                .orElse(null);
    }

    private static void reckon(Asked asked, List<SpringAtHand> atHand, Model model) {
        Drum drum = Drum.ofDiameters(value(asked.inside()), value(asked.arbor()));
        Mainspring old = new Mainspring(value(asked.width()), value(asked.thickness()), value(asked.length()), "");
        double hours = value(asked.hours());
        model.addAttribute("best", drum.bestLength(old.thickness()));
        model.addAttribute("old", line("the one that was in it", null, drum, SpringChoice.of(drum, old, hours, old)));
        Map<Mainspring, SpringAtHand> known = new LinkedHashMap<>();
        atHand.forEach(s -> known.merge(s.spring(), s, SpringAtHand::and));
        List<Line> lines = new ArrayList<>();
        for (SpringChoice choice : SpringChoice.among(drum, old, hours, known.keySet())) {
            SpringAtHand there = known.get(choice.spring());
            if (lines.size() < SHOWN && there != null) {
                lines.add(line(there.name(), there, drum, choice));
            }
        }
        model.addAttribute("lines", lines);
        model.addAttribute("more", known.size() - lines.size());
    }

    private static Line line(String name, @Nullable SpringAtHand atHand, Drum drum, SpringChoice choice) {
        boolean fits = choice.spring().fits(drum);
        return new Line(name, atHand, choice, fits ? SpringDrawing.of(drum, choice.spring()) : null);
    }

    private static double value(@Nullable Double figure) {
        return figure == null ? Double.NaN : figure;
    }

    private static Asked filled(Asked typed, OpenJob job) {
        return new Asked(
                or(typed.inside(), measured(job, Gauged.What.BARREL_INSIDE_DIAMETER)),
                or(typed.arbor(), measured(job, Gauged.What.ARBOR_DIAMETER)),
                or(typed.width(), measured(job, Gauged.What.SPRING_WIDTH)),
                or(typed.thickness(), measured(job, Gauged.What.SPRING_THICKNESS)),
                or(typed.length(), measured(job, Gauged.What.SPRING_LENGTH)),
                or(typed.hours(), hoursOfATurn(job.sheet())));
    }

    private static @Nullable Double or(@Nullable Double typed, @Nullable Double known) {
        return typed == null ? known : typed;
    }

    private static @Nullable Double measured(OpenJob job, Gauged.What what) {
        return job.history()
                .all(Gauged.class)
                .filter(g -> g.what() == what)
                .reduce((earlier, later) -> later)
                .map(Gauged::millimetres)
                .orElse(null);
    }

    /** From the train, whose first mobile is the barrel; to a hundredth. */
    private static @Nullable Double hoursOfATurn(@Nullable CalibreSheet sheet) {
        if (sheet == null
                || sheet.train() == null
                || sheet.train().periodsSeconds().isEmpty()) {
            return null;
        }
        return Math.round(sheet.train().periodsSeconds().get(0) / 36) / 100.0;
    }
}
