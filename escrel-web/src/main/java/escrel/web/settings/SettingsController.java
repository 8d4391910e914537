package escrel.web.settings;

import escrel.core.MendableException;
import escrel.core.handover.HandedOver;
import escrel.core.handover.Stage;
import escrel.core.school.Choice;
import escrel.core.school.School;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.SchoolChosen;
import escrel.web.job.Habits;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.Sheets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The schools, for the workshop, a calibre or a job. */
@Controller
class SettingsController {
    /**
     * A question as shown.
     *
     * @param chosen the side that holds here
     * @param own whether it was chosen here, and not inherited
     */
    record Question(
            School school, List<Choice> sides, @Nullable Choice chosen, boolean own) {}

    private final Habits habits;
    private final Sheets sheets;
    private final Workshop workshop;

    SettingsController(Habits habits, Sheets sheets, Workshop workshop) {
        this.habits = habits;
        this.sheets = sheets;
        this.workshop = workshop;
    }

    @GetMapping("/settings")
    String workshop(Model model) {
        return page(model, habits.of(null), habits.chosen(Habits.WORKSHOP), "/settings", "This workshop");
    }

    @GetMapping("/calibres/{id}/schools")
    String calibre(@PathVariable String id, Model model) {
        String name = requireName(id);
        return page(model, habits.of(id), habits.chosen(id), "/calibres/" + id + "/schools", "For the " + name);
    }

    @GetMapping("/jobs/{number}/schools")
    String job(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        Map<School, Choice> own = job.history()
                .all(SchoolChosen.class)
                .map(SchoolChosen::choice)
                .collect(Collectors.toMap(Choice::school, Function.identity(), (a, b) -> b));
        if (job.stage() == Stage.HANDED_OVER) {
            JobHistory history = job.history();
            model.addAttribute(
                    "left",
                    history.at(history.lastAt(HandedOver.class, any -> true)).orElseThrow());
            model.addAttribute(
                    "kept",
                    !history.last(HandedOver.class).orElseThrow().schools().isEmpty());
        }
        return page(model, job.schools(), List.copyOf(own.values()), "/jobs/" + number + "/schools", "For this job");
    }

    private static String page(Model model, Schools schools, List<Choice> own, String path, String title) {
        model.addAttribute("whose", title);
        model.addAttribute("path", path);
        model.addAttribute(
                "questions",
                Arrays.stream(School.values())
                        .map(s -> new Question(
                                s,
                                s.choices(),
                                schools.of(s).orElse(null),
                                own.stream().anyMatch(c -> c.school() == s)))
                        .toList());
        return "settings/schools";
    }

    private String requireName(String id) {
        return sheets.latest(id)
                .orElseThrow(() -> new MendableException(
                        "There is no sheet “" + id + "”",
                        "Nothing was changed.",
                        "Choose one from the list of calibres."))
                .name();
    }

    @PostMapping("/settings")
    String chooseForWorkshop(@RequestParam Choice choice) {
        habits.choose(Habits.WORKSHOP, choice);
        return "redirect:/settings#" + choice.school();
    }

    @PostMapping("/calibres/{id}/schools")
    String chooseForCalibre(@PathVariable String id, @RequestParam Choice choice) {
        requireName(id);
        habits.choose(id, choice);
        return "redirect:/calibres/" + id + "/schools#" + choice.school();
    }

    @PostMapping("/jobs/{number}/schools")
    String chooseForJob(@PathVariable int number, @RequestParam int seq, @RequestParam Choice choice) {
        workshop.append(number, seq, new SchoolChosen(choice));
        return "redirect:/jobs/" + number + "/schools#" + choice.school();
    }

    @PostMapping("/calibres/{id}/schools/forget")
    String forget(@PathVariable String id, @RequestParam School school) {
        habits.forget(id, school);
        return "redirect:/calibres/" + id + "/schools#" + school;
    }
}
