package escrel.web.wayin;

import escrel.core.MendableException;
import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.parts.PartScrews;
import escrel.core.parts.ScrewAccount;
import escrel.core.service.PartOff;
import escrel.core.service.RecordedStep;
import escrel.core.service.WayInPlanned;
import escrel.core.teardown.Caution;
import escrel.core.teardown.StepTimes;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.web.job.JobHead;
import escrel.web.job.Learnt;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The way in to one part, and the way out. */
@Controller
class WayInController {
    /**
     * A part on the way in.
     *
     * @param screws in words, may be empty
     * @param cautions titles of what will be asked or said
     */
    record Line(String name, String side, String screws, String cautions, String minutes) {}

    /**
     * The way.
     *
     * @param plans the sides of the plan on which something comes off
     * @param stays names of what is left fitted
     * @param minutesFrom where the minutes come from
     */
    record Way(
            String target,
            List<WayPlan> plans,
            List<Line> down,
            int turnOvers,
            int screws,
            long minutes,
            String minutesFrom,
            List<AssemblyPlan.Line> up,
            List<String> stays) {}

    /** Times of long ago say little of today's hands, and the newest are soon read. */
    private static final int TIMED = 30;

    private final Workshop workshop;
    private final Learnt learnt;

    WayInController(Workshop workshop, Learnt learnt) {
        this.learnt = learnt;
        this.workshop = workshop;
    }

    @GetMapping("/jobs/{number}/way")
    String way(@PathVariable int number, @RequestParam(required = false) @Nullable String part, Model model) {
        OpenJob job = workshop.load(number);
        TeardownState state = job.teardown();
        CalibreSheet sheet = state.sheet();
        String target = part != null && sheet.part(part).isPresent()
                ? part
                : state.target()
                        .or(() -> sheet.withRole(Role.MAINSPRING).map(Part::code))
                        .orElse(sheet.parts().get(0).code());
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("parts", sheet.homes());
        model.addAttribute("chosen", target);
        model.addAttribute("planned", state.target().orElse(null));
        model.addAttribute("way", of(job, state, target));
        return "wayin/way";
    }

    private Way of(OpenJob job, TeardownState state, String target) {
        CalibreSheet sheet = state.sheet();
        TeardownOrder order = job.job().wayIn(target);
        StepTimes times =
                job.sheet() == null ? StepTimes.NONE : learnt.times(job.sheet().id(), TIMED);
        List<Part> down = order.remaining();
        // the way out is planned from the movement as it will be then; nothing of it is recorded
        List<RecordedStep> off = new ArrayList<>();
        for (Part part : down) {
            int sequence = job.sequence() + off.size() + 1;
            off.add(new RecordedStep(sequence, job.openedAt().toInstant(), PartOff.plain(part.code())));
        }
        List<AssemblyPlan.Line> up =
                job.job().having(job.recorded().and(off)).wayUp().lines();
        List<String> stays = sheet.homes().stream()
                .filter(p -> !state.isOff(p.code()) && !down.contains(p))
                .map(Part::name)
                .toList();
        ScrewAccount screws = job.job().screws();
        int own = (int)
                down.stream().filter(p -> times.minutes(p.code()).isPresent()).count();
        return new Way(
                sheet.requirePart(target).name(),
                WayPlan.of(state, down, target),
                down.stream().map(p -> line(job, sheet, times, p)).toList(),
                order.turnOvers(),
                down.stream()
                        .mapToInt(p -> screws.of(p.code()).count(PartScrews.Where.IN))
                        .sum(),
                Math.round(Math.ceil(order.minutes(times))),
                minutesFrom(own, down.size(), times),
                up,
                stays);
    }

    private static String minutesFrom(int own, int steps, StepTimes times) {
        if (own == 0) {
            return "by the sheet";
        }
        return own == steps
                ? "by this workshop's own times (%d services)".formatted(times.services())
                : "for %d of %d steps by this workshop's own times (%d services), else by the sheet"
                        .formatted(own, steps, times.services());
    }

    private static Line line(OpenJob job, CalibreSheet sheet, StepTimes times, Part part) {
        return new Line(
                part.name(),
                part.side().name().toLowerCase().replace('_', ' '),
                job.job().screws().of(part.code()).words(),
                Caution.before(sheet, part, job.schools()).stream()
                        .map(Caution::title)
                        .collect(Collectors.joining(" · ")),
                "%.1f".formatted(times.minutes(part.code()).orElse(part.minutes())));
    }

    @PostMapping("/jobs/{number}/way")
    String plan(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(defaultValue = "") String target,
            @RequestParam(defaultValue = "") String reason) {
        OpenJob job = workshop.load(number);
        if (!target.isEmpty() && job.requireSheet().part(target).isEmpty()) {
            throw new MendableException(
                    "The sheet has no part “" + target + "”", "Nothing was recorded.", "Choose a part from the list.");
        }
        workshop.append(number, seq, new WayInPlanned(target, reason.strip()));
        return "redirect:/jobs/" + number + "/strip";
    }
}
